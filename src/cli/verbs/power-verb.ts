import { parseArgs } from 'node:util';
import { z } from 'zod';
import { option } from '@/cli/option';
import { refuse } from '@/cli/refuse';
import {
  closedPower,
  type PlannedComparison,
  unitsForPower,
} from '@/core/design/power/closed-power';

export const POWER_HELP = `turnspit power --kind t|anova|dunnett --groups K --n N --delta D --sd S [--alpha 0.05] [--json]
The chance that a trial of K groups with N units each sees a true difference D, where units treated alike spread by S.
  --kind t         two groups, unpaired, both tails
  --kind anova     any difference among K groups: two of them D apart, the others midway (the hardest case to see)
  --kind dunnett   one treatment D from the control, tested beside the K - 2 others
  --groups K       how many groups, the control included (2 for t)
  --n N            units of each group; or --power P, and the fewest that see it with that chance are printed
  --control-n M    units of the control, where it gets more than N (t and dunnett)
  --delta D, --sd S  in the same unit, or as shares of the mean
  --alpha A        two-sided (0.05)
  --json           {"power":...}, or with --power {"n":...,"power":...}`;

/** `turnspit power`: prints a chance, or how many units it takes. */
export function powerVerb(args: readonly string[]): void {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      kind: { type: 'string' },
      groups: { type: 'string' },
      n: { type: 'string' },
      'control-n': { type: 'string' },
      power: { type: 'string' },
      delta: { type: 'string' },
      sd: { type: 'string' },
      alpha: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  if (positionals[0] !== undefined)
    refuse(`“${positionals[0]}” is not an option. turnspit help power lists them.`);
  if ((values.n === undefined) === (values.power === undefined))
    refuse('Give either --n, the units of each group, or --power, the chance that is wanted.');
  const kind = option(
    z.enum(['t', 'anova', 'dunnett']),
    values.kind ?? '',
    '--kind',
    't, anova or dunnett',
  );
  const plan: PlannedComparison = {
    kind,
    groups: option(
      WHOLE.pipe(z.number().min(2).max(40)),
      values.groups ?? (kind === 't' ? '2' : ''),
      '--groups',
      'a whole number from 2 to 40',
    ),
    delta: Math.abs(option(AMOUNT, values.delta ?? '', '--delta', 'a number')),
    sd: option(AMOUNT.pipe(z.number().positive()), values.sd ?? '', '--sd', 'a number above 0'),
    alpha: option(
      AMOUNT.pipe(z.number().gt(0).lt(1)),
      values.alpha ?? '0.05',
      '--alpha',
      'a number between 0 and 1',
    ),
  };
  if (kind === 't' && plan.groups !== 2)
    refuse(
      `--kind t compares 2 groups, got ${plan.groups}. Use dunnett (each against the control) or anova (any difference).`,
    );
  if (kind === 'anova' && values['control-n'] !== undefined)
    refuse('--control-n goes with t and dunnett; anova has no control.');
  const found =
    values.n === undefined
      ? wanted(plan, values.power ?? '')
      : { power: powerOf(plan, values.n, values['control-n']) };
  process.stdout.write(
    values.json
      ? `${JSON.stringify(found)}\n`
      : `${'n' in found ? `${found.n} of each: ` : ''}seen ${(100 * found.power).toFixed(1)} times of 100\n`,
  );
}

function powerOf(plan: PlannedComparison, n: string, control: string | undefined): number {
  const each = option(UNITS, n, '--n', 'a whole number from 2 to 100000');
  return closedPower(
    plan,
    each,
    control === undefined
      ? each
      : option(UNITS, control, '--control-n', 'a whole number from 2 to 100000'),
  );
}

function wanted(
  plan: PlannedComparison,
  power: string,
): { readonly n: number; readonly power: number } {
  const chance = option(
    AMOUNT.pipe(z.number().gt(plan.alpha).lt(1)),
    power,
    '--power',
    'a number between alpha and 1',
  );
  if (plan.delta === 0)
    refuse('--delta must not be 0: no number of units shows a difference that is not there.');
  return (
    unitsForPower(plan, chance) ?? refuse('More than 1000 units of each group would be needed.')
  );
}

const WHOLE = z.string().regex(/^\d+$/).transform(Number);
const UNITS = WHOLE.pipe(z.number().min(2).max(100_000));
const AMOUNT = z
  .string()
  .regex(/^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i)
  .transform(Number);
