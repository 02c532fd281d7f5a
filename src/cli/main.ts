import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import { type MeasureSystem, UNITS_OF_MEASURE } from '@/core/quantity/unit-of-measure';
import { parseArgs } from 'node:util';

const USAGE = 'Use: turnspit quantity "5 lb 12.7 oz" --to g [--system us|uk] [--json]';

/** Prints one line on stderr and ends with 2: input that can't be used. */
function refuse(line: string): never {
  process.stderr.write(`${line}\n`);
  process.exit(2);
}

function quantityVerb(written: string | undefined, to: string | undefined, system: MeasureSystem | undefined, asJson: boolean): void {
  if (written === undefined || to === undefined) refuse(USAGE);
  const read = parseQuantity(written, system ? { system } : {});
  if (!read.ok) refuse(quantitySentence(read.trouble));
  const named = UNITS_OF_MEASURE.filter(unit => unit.key === to || unit.names.includes(to.toLowerCase()));
  const target = named.find(unit => !unit.system || unit.system === system || unit.key === to);
  if (!target) refuse(named.length > 0 ? `--to ${to} differs between the US and the UK: add --system us or --system uk.` : `--to ${to} is not a unit known here.`);
  if (target.dimension !== read.value.dimension) refuse(`“${written}” is a ${read.value.dimension}; ${to} is a ${target.dimension}.`);
  const value = read.value.base / target.perBase;
  process.stdout.write(asJson ? `${JSON.stringify({ value, unit: to })}\n` : `${value} ${to}\n`);
}

function main(): void {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { to: { type: 'string' }, system: { type: 'string' }, json: { type: 'boolean', default: false } },
  });
  const system = values.system;
  if (system !== undefined && system !== 'us' && system !== 'uk') refuse(`--system must be us or uk, got ${system}.`);
  if (positionals[0] !== 'quantity') refuse(USAGE);
  quantityVerb(positionals[1], values.to, system, values.json);
}

main();
