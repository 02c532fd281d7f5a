import { readFileSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { refuse } from '@/cli/refuse';
import { withoutNames } from '@/core/trial/without-names';
import { backUp, backupSentence, restore } from '@/service/files/backup';
import { gardenPackage, trialPackage } from '@/service/files/data-package';
import { takeAnyIn } from '@/service/files/take-any-in';
import { trialNames, wholeTrial } from '@/service/files/whole-trials';
import { closeStore, dataFileSentence, startStore } from '@/service/garden/start';

// The verbs that open the garden itself. Where it lies is told by TURNSPIT_DATA.

/** `turnspit export`. */
export async function exportVerb(args: readonly string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      out: { type: 'string' },
      'no-names': { type: 'boolean', default: false },
      package: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  await withGarden(async () => {
    const trials = await trialNames();
    const wanted = positionals.join(' ').trim();
    if (wanted === '' && values.package !== undefined) {
      writeFileSync(values.package, (await gardenPackage(!values['no-names'])).zip);
      return;
    }
    if (wanted === '') {
      process.stdout.write(
        values.json
          ? `${JSON.stringify(trials)}\n`
          : trials
              .map(({ id, question, state }) => `${id}  ${state.padEnd(8)}${question}\n`)
              .join(''),
      );
      return;
    }
    const found = trials.filter(
      ({ id, question }) => id === wanted || question.toLowerCase().includes(wanted.toLowerCase()),
    );
    const [only] = found;
    if (!only || found.length > 1)
      return refuse(
        found.length > 1
          ? `“${wanted}” stands in ${found.length} questions: say more of it.`
          : `No trial is “${wanted}”. turnspit export lists them.`,
      );
    const asTables = await (values.package === undefined
      ? undefined
      : trialPackage(only.id, !values['no-names']));
    if (asTables && values.package !== undefined) {
      writeFileSync(values.package, asTables.zip);
      return;
    }
    const whole = await wholeTrial(only.id);
    const file = `${JSON.stringify(whole && values['no-names'] ? withoutNames(whole) : whole)}\n`;
    if (values.out === undefined) process.stdout.write(file);
    else writeFileSync(values.out, file);
  });
}

/** `turnspit import`. */
export async function importVerb(args: readonly string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: { json: { type: 'boolean', default: false } },
  });
  const file = oneOf(positionals, 'Name one file: turnspit import FILE.json');
  const input = jsonOf(file);
  await withGarden(async () => {
    const taken = await takeAnyIn(input);
    if (!taken.ok) refuse(`${file}: ${taken.trouble}`);
    process.stdout.write(
      values.json ? `${JSON.stringify(taken.value)}\n` : `Taken in: ${taken.value.question}\n`,
    );
  });
}

/** `turnspit backup`. */
export async function backupVerb(args: readonly string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: { json: { type: 'boolean', default: false } },
  });
  const folder = oneOf(positionals, 'Name one folder: turnspit backup FOLDER');
  await withGarden(async () => {
    const done = await backUp(folder);
    if (!done.ok) refuse(backupSentence(done.trouble));
    process.stdout.write(
      values.json ? `${JSON.stringify({ folder })}\n` : `Everything is copied into ${folder}.\n`,
    );
  });
}

/** `turnspit restore`. */
export async function restoreVerb(args: readonly string[]): Promise<void> {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      replace: { type: 'boolean', default: false },
      json: { type: 'boolean', default: false },
    },
  });
  const done = await restore(
    oneOf(positionals, 'Name one folder: turnspit restore FOLDER'),
    values.replace,
  );
  if (!done.ok) refuse(backupSentence(done.trouble));
  const aside = done.value;
  process.stdout.write(
    values.json
      ? `${JSON.stringify({ movedAside: aside })}\n`
      : `The backup stands in its place.${aside === null ? '' : ` What stood there lies in ${aside}.`}\n`,
  );
}

async function withGarden(work: () => Promise<void>): Promise<void> {
  const started = await startStore();
  if (!started.ok) refuse(dataFileSentence(started.trouble));
  try {
    await work();
  } finally {
    await closeStore();
  }
}

function oneOf(positionals: readonly string[], sentence: string): string {
  const [only] = positionals;
  return only === undefined || positionals.length > 1 ? refuse(sentence) : only;
}

function jsonOf(file: string): unknown {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return refuse(`${file} can’t be read as JSON.`);
  }
}
