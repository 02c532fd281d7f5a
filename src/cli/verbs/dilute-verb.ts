import { parseArgs } from 'node:util';
import { amount, systemOf } from '@/cli/amount';
import { numberOption } from '@/cli/number-option';
import { refuse } from '@/cli/refuse';
import { dilute } from '@/core/materials/dose/dilution';

export const DILUTE_HELP = `turnspit dilute --stock 3 --add "6 tbsp" --to "1 gal" --system us [--json]
How strong a spray comes out, both ways of reading “to a gallon”.
  --stock P        percent of the active part in the bottle
  --add V, --to V  so much of the bottle, to so much water
  --system us|uk   which gallons, pints and spoons are meant
  --json           {"percentAddedTo","percentMadeUpTo","mlPerL"}`;

/** `turnspit dilute`. */
export function diluteVerb(args: readonly string[]): void {
  const { values } = parseArgs({
    args: [...args],
    options: {
      stock: { type: 'string' },
      add: { type: 'string' },
      to: { type: 'string' },
      system: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const system = systemOf(values.system);
  const to = amount(values.to, '--to', 'volume', system);
  if (to === 0) refuse('--to must be more than nothing.');
  const found = dilute(
    numberOption(values.stock, '--stock', { least: 0, most: 100 }),
    amount(values.add, '--add', 'volume', system),
    to,
  );
  process.stdout.write(
    values.json
      ? `${JSON.stringify(found)}\n`
      : `${found.percentAddedTo.toFixed(3)}% added to it, ${found.percentMadeUpTo.toFixed(3)}% made up to it, ${found.mlPerL.toFixed(1)} ml per litre\n`,
  );
}
