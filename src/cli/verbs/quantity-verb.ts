import { parseArgs } from 'node:util';
import { refuse } from '@/cli/refuse';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import { UNITS_OF_MEASURE } from '@/core/quantity/unit-of-measure';

export const QUANTITY_HELP = `turnspit quantity "5 lb 12.7 oz" --to g [--system us|uk] [--json]
Reads an amount as people write it and prints it in another unit.
  --to UNIT        g, kg, oz, lb, ml, L, cup, tbsp, mm, in, ft, m2 and so on
  --system us|uk   which pints, gallons, fluid ounces and spoons are meant
  --json           {"value":2628.0007936875,"unit":"g"}`;

/** `turnspit quantity`: prints the amount, or refuses with what was read and what was expected. */
export function quantityVerb(args: readonly string[]): void {
  const { values, positionals } = parseArgs({
    args: [...args],
    allowPositionals: true,
    options: {
      to: { type: 'string' },
      system: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const { to, system } = values;
  const written = positionals[0];
  if (system !== undefined && system !== 'us' && system !== 'uk')
    refuse(`--system must be us or uk, got ${system}.`);
  if (written === undefined || to === undefined || positionals.length > 1)
    refuse('Use: turnspit quantity "5 lb 12.7 oz" --to g [--system us|uk] [--json]');
  const read = parseQuantity(written, system ? { system } : {});
  if (!read.ok) refuse(quantitySentence(read.trouble, { system }));
  const named = UNITS_OF_MEASURE.filter(
    unit => unit.key === to || unit.names.includes(to.toLowerCase()),
  );
  const target = named.find(unit => !unit.system || unit.system === system || unit.key === to);
  if (!target)
    refuse(
      named.length > 0
        ? `--to ${to} differs between the US and the UK: add --system us or --system uk.`
        : `--to ${to} is not a unit known here.`,
    );
  if (target.dimension !== read.value.dimension)
    refuse(`“${written}” is a ${read.value.dimension}; ${to} is a ${target.dimension}.`);
  const value = read.value.base / target.perBase;
  process.stdout.write(
    values.json ? `${JSON.stringify({ value, unit: to })}\n` : `${value} ${to}\n`,
  );
}
