import { parseArgs } from 'node:util';
import { z } from 'zod';
import { maybeNumber, numberList, numberOption } from '@/cli/number-option';
import { option } from '@/cli/option';
import { refuse } from '@/cli/refuse';
import { degreeDays } from '@/core/weather/degree-days';

export const GDD_HELP = `turnspit gdd --base 10 --tmax 22,18 --tmin 12,6 [--upper 30] [--method simple|capped|sine] [--json]
Growing degree days, day by day and in sum.
  --method simple  the mean less the base, never below 0 (McMaster and Wilhelm 1997, method 1)
           capped  both ends held between base and --upper first (method 2)
           sine    a sine curve between them, horizontal cut-off at --upper (Baskerville and Emin 1969)
  --json           {"daily":[...],"total"}`;

/** `turnspit gdd`. */
export function gddVerb(args: readonly string[]): void {
  const text = { type: 'string' } as const;
  const { values } = parseArgs({
    args: [...args],
    options: {
      base: text,
      upper: text,
      method: text,
      tmax: text,
      tmin: text,
      json: { type: 'boolean', default: false },
    },
  });
  const celsius = { least: -60, most: 60 };
  const base = numberOption(values.base, '--base', celsius);
  const upper = maybeNumber(values.upper, '--upper', celsius);
  if (upper !== undefined && upper <= base)
    refuse(`--upper ${upper} must be above --base ${base}.`);
  const method = option(
    z.enum(['simple', 'capped', 'sine']),
    values.method ?? 'simple',
    '--method',
    'simple, capped or sine',
  );
  const [highs, lows] = [
    numberList(values.tmax, '--tmax', celsius),
    numberList(values.tmin, '--tmin', celsius),
  ];
  if (highs.length !== lows.length)
    refuse(`--tmax has ${highs.length} days, --tmin ${lows.length}.`);
  const bad = highs.findIndex((high, i) => high < (lows[i] ?? 0));
  if (bad >= 0)
    refuse(`Day ${bad + 1}: the lowest, ${lows[bad]}, is above the highest, ${highs[bad]}.`);
  const daily = highs.map((high, i) => degreeDays(method, high, lows[i] ?? high, base, upper));
  const total = daily.reduce((sum, each) => sum + each, 0);
  process.stdout.write(
    values.json
      ? `${JSON.stringify({ daily, total })}\n`
      : `${daily.map(each => each.toFixed(1)).join(' ')}\ntotal ${total.toFixed(1)}\n`,
  );
}
