import { parseArgs } from 'node:util';
import { z } from 'zod';
import { confidenceOption } from '@/cli/confidence-option';
import { numberColumn } from '@/cli/number-column';
import { option } from '@/cli/option';
import { readTable } from '@/cli/read-table';
import { refuse } from '@/cli/refuse';
import {
  type DosedUnit,
  type DoseResponse,
  doseResponse,
} from '@/core/judge/outcomes/dose/dose-response';
import { judge } from '@/core/judge/outcomes/judge';
import { withDoses } from '@/core/judge/question/dose-line';
import { figureOf, isRead, type JudgeInput, type Margin } from '@/core/judge/question/judge-input';
import { judgeInputFromTable } from '@/core/judge/table/table-input';
import type { Table, TableRoles } from '@/core/judge/table/table-roles';
import { tableWarnings } from '@/core/judge/table/table-warnings';
import { judgementJson } from '@/core/judge/verdict/judgement-json';
import { doseText, plainText, tableSentence } from './judge-text';

export const JUDGE_HELP = `turnspit judge FILE.csv --response COL --treatment COL --control NAME [options]
Judges a spreadsheet that never saw the application: one row a unit, or a subsample of one.
  --block COL       units alike but for the treatment; given twice, rows and columns (a Latin square is re-dealt as one)
  --pair COL        blocks of two, dealt by the toss of a coin
  --whole COL       the whole plots of a split plot, named within each block; may be the factor dealt to them
  --unit COL        rows that share it are subsamples of one unit, averaged first
  --factor COL      may repeat: crossed factors; without --treatment their levels name it, as in loam:none
  --covariate COL   a number that stays with the unit, such as its size at the start
  --kind KIND       continuous (the usual), count, proportion, ordinal or time; each by its own method, which the answer names
  --out-of COL      of proportion: of how many; without it each row is one item, 1 or 0
  --event COL       of time: 1 where it came, 0 where it is still waited for; without it all have come
  --dose COL        of continuous, count or proportion: a number; its trend, the curves that fit, and where it levels off
  --compare NAME    with --against NAME: what was agreed on beforehand; then the headline is theirs. Either may repeat:
                    several are taken together
  --better WAY      higher (the usual) or lower
  --margin M        the smallest difference that matters: 15% of the control, or 0.2 in the response’s own unit
  --shuffles N      random deals where there are too many to look at all (20000); 0 leaves the shuffle test out
  --seed N          of the random deals (1)
  --confidence C    of the intervals (0.95)
  --json            the whole judgement as one object
An empty response cell (or NA) is a missing unit. Ends with 0 and a verdict, or with 2 and one line that says what is wrong.`;

const BELONGS: readonly (readonly ['out-of' | 'event' | 'dose', readonly string[]])[] = [
  ['out-of', ['proportion']],
  ['event', ['time']],
  ['dose', ['continuous', 'count', 'proportion']],
];

const OPTIONS = {
  response: { type: 'string' },
  treatment: { type: 'string' },
  control: { type: 'string' },
  block: { type: 'string', multiple: true },
  unit: { type: 'string' },
  factor: { type: 'string', multiple: true },
  kind: { type: 'string' },
  'out-of': { type: 'string' },
  event: { type: 'string' },
  pair: { type: 'string' },
  whole: { type: 'string' },
  covariate: { type: 'string' },
  dose: { type: 'string' },
  compare: { type: 'string', multiple: true },
  against: { type: 'string', multiple: true },
  better: { type: 'string' },
  margin: { type: 'string' },
  shuffles: { type: 'string' },
  seed: { type: 'string' },
  confidence: { type: 'string' },
  json: { type: 'boolean', default: false },
} as const;

const readArgs = (args: readonly string[]) =>
  parseArgs({ args: [...args], allowPositionals: true, options: OPTIONS });
type Values = ReturnType<typeof readArgs>['values'];

/** `turnspit judge`: prints the verdict for a CSV file. */
export async function judgeVerb(args: readonly string[]): Promise<void> {
  const { values, positionals } = readArgs(args);
  const file = positionals[0];
  if (file === undefined || positionals.length > 1)
    refuse(
      'Name one CSV file: turnspit judge FILE.csv --response COL --treatment COL --control NAME',
    );
  if (values.response === undefined) refuse('--response is missing: the column with the readings.');
  const roles = rolesOf(values, values.response);
  const table = await readTable(file);
  const read = judgeInputFromTable(table, roles);
  if (!read.ok) refuse(`${file}${tableSentence(read.trouble)}`);
  const dosed =
    values.dose === undefined
      ? undefined
      : dosedUnits(read.value, table, file, values.dose, values.unit);
  const input = dosed ? withDoses(read.value, dosesByTreatment(read.value, dosed)) : read.value;
  const judged = judge(input);
  const judgement = { ...judged, warnings: [...tableWarnings(table, roles), ...judged.warnings] };
  const dose = dosed && doseResponse(dosed);
  process.stdout.write(
    values.json
      ? `${JSON.stringify({ ...judgementJson(judgement, input), ...(dose ? { dose: doseJson(dose) } : {}) })}\n`
      : `${plainText(judgement, input)}${dose ? `\n${doseText(dose)}\n` : ''}`,
  );
}

function kindOf(values: Values) {
  const kind = option(
    z.enum(['continuous', 'count', 'proportion', 'ordinal', 'time']),
    values.kind ?? 'continuous',
    '--kind',
    'continuous, count, proportion, ordinal or time',
  );
  const stray = BELONGS.find(
    ([name, kinds]) => values[name] !== undefined && !kinds.includes(kind),
  );
  if (stray) refuse(`--${stray[0]} goes with --kind ${stray[1].join(' or ')}, not with ${kind}.`);
  return kind;
}

/** Both or neither, and none of them twice. */
function agreedOf({ compare, against }: Values): TableRoles['agreed'] {
  if (compare === undefined && against === undefined) return undefined;
  const named = [...(compare ?? []), ...(against ?? [])];
  if (compare === undefined || against === undefined || new Set(named).size < named.length)
    return refuse('--compare and --against go together, and name treatments that differ.');
  return { one: compare, other: against };
}

function rolesOf(values: Values, response: string): TableRoles {
  return {
    response,
    treatment: values.treatment,
    control: values.control,
    blocks: values.block ?? [],
    pair: values.pair,
    unit: values.unit,
    whole: values.whole,
    factors: values.factor ?? [],
    covariate: values.covariate,
    agreed: agreedOf(values),
    kind: kindOf(values),
    outOf: values['out-of'],
    event: values.event,
    better: option(
      z.enum(['higher', 'lower']),
      values.better ?? 'higher',
      '--better',
      'higher or lower',
    ),
    margin: values.margin === undefined ? null : readMargin(values.margin),
    confidence: confidenceOption(values.confidence),
    shuffles: option(
      WHOLE.pipe(z.number().max(10_000_000)),
      values.shuffles ?? '20000',
      '--shuffles',
      'a whole number from 0 to 10000000',
    ),
    seed: option(
      WHOLE.pipe(z.number().max(2 ** 32 - 1)),
      values.seed ?? '1',
      '--seed',
      'a whole number from 0 to 4294967295',
    ),
  };
}

/** What each unit that was read got; rows of one unit must agree, as its treatment does. */
function dosedUnits(
  input: JudgeInput,
  table: Table,
  file: string,
  column: string,
  unitColumn: string | undefined,
): readonly (DosedUnit & { readonly treatment: string })[] {
  const doses = numberColumn(table, file, column, '--dose');
  const doseOfUnit = new Map(
    table.rows.map((cells, i) => [
      unitColumn === undefined
        ? String(table.rowNumbers?.[i] ?? i + 2)
        : (cells[unitColumn] ?? '').trim(),
      doses[i],
    ]),
  );
  return input.units.flatMap(unit => {
    const dose = doseOfUnit.get(unit.id);
    return !isRead(unit) || dose == null
      ? []
      : [
          {
            dose,
            treatment: unit.treatment,
            value: figureOf(unit),
            block: JSON.stringify(unit.blocks),
          },
        ];
  });
}

/** undefined where a treatment has several, or none. */
function dosesByTreatment(
  { treatments }: JudgeInput,
  dosed: readonly { readonly treatment: string; readonly dose: number }[],
): JudgeInput['doses'] {
  const doses = treatments.flatMap(name => {
    const own = new Set(dosed.filter(each => each.treatment === name).map(each => each.dose));
    const [dose] = own;
    return own.size === 1 && dose !== undefined ? [[name, dose] as const] : [];
  });
  return doses.length === treatments.length ? Object.fromEntries(doses) : undefined;
}

function doseJson({ trend, fits, levelsOffAt }: DoseResponse): Readonly<Record<string, unknown>> {
  return {
    trend,
    levelsOffAt,
    fits: fits.map(({ curve, parameters, se, rss, aicc, converged }) => ({
      curve,
      parameters,
      se,
      rss,
      aicc,
      converged,
    })),
  };
}

const WHOLE = z.string().regex(/^\d+$/).transform(Number);

function readMargin(written: string): Margin {
  const parts = /^(\d*\.?\d+)(%?)$/.exec(written);
  const size = Number(parts?.[1]);
  if (!parts || !(size > 0))
    return refuse(
      `--margin must be a share of the control, such as 15%, or an amount above 0, such as 0.2; got ${written}.`,
    );
  return parts[2] === '%' ? { kind: 'percent', percent: size } : { kind: 'absolute', amount: size };
}
