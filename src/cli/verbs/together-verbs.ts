import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { refuse } from '@/cli/refuse';
import {
  type ComparisonTogether,
  type GardenSource,
  gardensTogether,
} from '@/core/judge/together/gardens-together';
import { mixedOver } from '@/core/judge/together/mixed-over';
import {
  type HeldResults,
  intakeOf,
  intakeSentence,
  sourcesOfResults,
} from '@/core/judge/together/take-in-results';
import { type TogetherMeasure, togetherMeasure } from '@/core/judge/together/together-measure';
import { comparisonSentences, togetherHeadline } from '@/core/judge/together/together-words';
import type { TrialData } from '@/core/trial/model/trial-data';
import { type Protocol, protocolOf, readProtocol } from '@/core/trial/shared/protocol';
import {
  NO_RESULTS_WORDS,
  type ResultsFile,
  readResults,
  resultsOf,
} from '@/core/trial/shared/results-file';
import { resultsSentence } from '@/core/trial/shared/results-sentence';
import { fileSentence, parseFile } from '@/core/trial/shared/shared-file';
import { readWholeTrial, wholeTrialSentence } from '@/core/trial/whole-trial';

const LARGEST = 40_000_000;

/** `turnspit protocol`. */
export function protocolVerb(args: readonly string[]): void {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      out: { type: 'string' },
      garden: { type: 'string', default: '' },
      person: { type: 'string', default: '' },
      json: { type: 'boolean', default: false },
    },
  });
  const file = oneOf(positionals, 'Name one whole trial: turnspit protocol TRIAL.json');
  const from = { garden: values.garden, person: values.person, madeAt: new Date().toISOString() };
  const protocol = protocolOf(wholeTrialIn(file), from);
  if (!protocol || wholeTrialIn(file).trial.state === 'planned')
    refuse(`${file}: its plan is not locked yet, so it may still change. Lock it first.`);
  write(protocol, values.out);
}

/** `turnspit results`. */
export function resultsVerb(args: readonly string[]): void {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      out: { type: 'string' },
      garden: { type: 'string' },
      place: { type: 'string', default: '' },
      soil: { type: 'string', default: '' },
      person: { type: 'string', default: '' },
      trait: { type: 'string', multiple: true, default: [] },
      names: { type: 'boolean', default: false },
      json: { type: 'boolean', default: false },
    },
  });
  const file = oneOf(
    positionals,
    'Name one whole trial: turnspit results TRIAL.json --garden NAME',
  );
  if (!values.garden) refuse('Say which garden it is: --garden NAME');
  const { place, soil, person } = values;
  const garden = { name: values.garden, place, soil, person, traits: traitsOf(values.trait) };
  const found = resultsOf(wholeTrialIn(file), garden, {
    writtenAt: new Date().toISOString(),
    withNames: values.names,
  });
  if (!found.ok) refuse(`${file}: ${NO_RESULTS_WORDS[found.trouble]}`);
  write(found.value, values.out);
}

/** `turnspit together`. */
export function togetherVerb(args: readonly string[]): void {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: { json: { type: 'boolean', default: false } },
  });
  const [planFile, ...files] = positionals;
  if (planFile === undefined || files.length === 0)
    refuse('Name a plan and results: turnspit together PLAN.json RESULTS.json …');
  const plan = planIn(planFile);
  const sources = takenIn(plan, files).flatMap(results => sourcesOfResults(plan, results));
  const measure = togetherMeasure(plan.measures);
  const comparisons = gardensTogether(sources, measure);
  process.stdout.write(
    values.json
      ? `${JSON.stringify(asJson(plan, sources, comparisons))}\n`
      : `${asText(sources, comparisons, measure)}\n`,
  );
}

/** Every results file that belongs to the plan; the first that does not ends it, and nothing is judged. */
function takenIn(plan: Protocol, files: readonly string[]): readonly ResultsFile[] {
  const held = new Map<string, ResultsFile>();
  for (const file of files) {
    const read = readResults(jsonIn(file));
    if (!read.ok) return refuse(`${file}: ${resultsSentence(read.trouble)}`);
    const intake = intakeOf(plan, '', [...held.values()].map(asHeld), read.value);
    if (!intake.ok && intake.trouble.kind !== 'older')
      return refuse(`${file}: ${intakeSentence(intake.trouble)}`);
    if (intake.ok) held.set(read.value.gardenId, read.value);
  }
  return [...held.values()];
}

function asHeld({ gardenId, trial, garden, writtenAt }: ResultsFile): HeldResults {
  return { gardenId, siteTrialId: trial.trial.id, name: garden.name, writtenAt };
}

function asText(
  sources: readonly GardenSource[],
  comparisons: readonly ComparisonTogether[],
  measure: TogetherMeasure,
): string {
  const nameOf = (id: string): string =>
    (sources.find(each => each.id === id) ?? sources.find(each => each.gardenId === id))?.name ??
    id;
  return [
    togetherHeadline(comparisons),
    ...comparisons.map(each => comparisonSentences(each, measure, nameOf).join(' ')),
    ...sources.flatMap(({ name, differs }) => differs.map(each => `${name}: ${each}`)),
  ].join('\n');
}

function asJson(
  plan: Protocol,
  sources: readonly GardenSource[],
  comparisons: readonly ComparisonTogether[],
) {
  const control = plan.treatments.find(({ role }) => role === 'control')?.name ?? '';
  return {
    question: plan.trial.question,
    gardens: sources.map(({ name, gardenId, season, differs, answer }) => ({
      name,
      gardenId,
      season,
      units: answer.units,
      missing: answer.missing,
      leftOut: answer.leftOut,
      differs,
    })),
    comparisons: comparisons.map(({ together, gardens, ...comparison }) => ({
      ...comparison,
      gardens: gardens.map(({ site, ...garden }) => ({ ...garden, ...site })),
      ...(together ?? { estimate: null, call: 'no-test' }),
    })),
    mixed: mixedOver(sources, control) ?? null,
    headline: togetherHeadline(comparisons),
  };
}

function planIn(file: string): Protocol {
  const read = readProtocol(jsonIn(file));
  return read.ok ? read.value : refuse(`${file}: ${fileSentence(read.trouble)}`);
}

function wholeTrialIn(file: string): TrialData {
  const read = readWholeTrial(jsonIn(file));
  return read.ok ? read.value : refuse(`${file}: ${wholeTrialSentence(read.trouble)}`);
}

function jsonIn(file: string): unknown {
  let text: string;
  try {
    if (statSync(file).size > LARGEST)
      return refuse(`${file}: larger than any such file, at most 40 MB are read.`);
    text = readFileSync(file, 'utf8');
  } catch {
    return refuse(`${file} can’t be read.`);
  }
  const parsed = parseFile(text);
  return parsed.ok ? parsed.value : refuse(`${file}: ${fileSentence(parsed.trouble)}`);
}

function traitsOf(written: readonly string[]): Readonly<Record<string, string>> {
  return Object.fromEntries(
    written.map(each => {
      const [name = '', ...value] = each.split('=');
      if (name === '' || value.length === 0)
        return refuse(`--trait ${each}: write it as name=value, such as rain=little.`);
      return [name.trim(), value.join('=').trim()];
    }),
  );
}

function write(value: unknown, out: string | undefined): void {
  const text = `${JSON.stringify(value)}\n`;
  if (out === undefined) process.stdout.write(text);
  else writeFileSync(out, text);
}

function oneOf(positionals: readonly string[], sentence: string): string {
  const [only] = positionals;
  return only === undefined || positionals.length > 1 ? refuse(sentence) : only;
}
