import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { refuse } from '@/cli/refuse';
import { checkFrozen } from '@/core/judge/verdict/frozen-file';

export const CHECK_HELP = `turnspit check FILE.json [--json]
Looks whether a frozen verdict (“The frozen verdict” under a trial’s report) still comes out of its own plan, data and seed.
Ends with 0 where it does, 1 where it does not, 2 where the file is none.
  --json  {"isSameInput":...,"isSameJudgement":...,"code":...,"closedAt":...,"differences":[...]}`;

/** `turnspit check`. */
export function checkVerb(args: readonly string[]): void {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: { json: { type: 'boolean', default: false } },
  });
  const file = positionals[0];
  if (file === undefined || positionals.length > 1)
    refuse('Name one file: turnspit check FILE.json');
  const checked = checkFrozen(jsonOf(file));
  if (!checked.ok) refuse(`${file}: ${checked.trouble}`);
  const { isSameInput, isSameJudgement, code, closedAt, differences } = checked.value;
  const words = [
    `Frozen ${closedAt.slice(0, 10)} by version ${code}.`,
    isSameInput
      ? 'Its plan and readings still make what was judged.'
      : '! Its plan and readings make something else now.',
    isSameJudgement
      ? 'The judge still says the same of it.'
      : '! The judge says something else now.',
    ...differences,
  ];
  process.stdout.write(
    values.json
      ? `${JSON.stringify({ isSameInput, isSameJudgement, code, closedAt, differences })}\n`
      : `${words.join('\n')}\n`,
  );
  if (!isSameInput || !isSameJudgement) process.exitCode = 1;
}

function jsonOf(file: string): unknown {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return refuse(`${file} can’t be read as JSON.`);
  }
}
