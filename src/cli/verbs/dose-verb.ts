import { parseArgs } from 'node:util';
import { z } from 'zod';
import { amount, systemOf } from '@/cli/amount';
import { numberOption } from '@/cli/number-option';
import { option } from '@/cli/option';
import { refuse } from '@/cli/refuse';
import { doseFor } from '@/core/materials/label/label-rate';
import { parseLabelRate, rateSentence } from '@/core/materials/label/parse-label-rate';

export const DOSE_HELP = `turnspit dose --label "20 ml per 4.5 l" --volume "0.5 l" [--strength 0.5] [--json]
How much product one pot, plant or bed gets, from the rate on its label.
  --label RATE     as the pack writes it: "20 ml to 4.5 litres", "70 g per square metre", "1 part to 16", "5-10 ml per litre of mix"
  --strength S     a share of the label's rate (1)
  --take low|middle|high   where the label gives a range (high)
  --volume V       water to the unit, product and all, where the rate counts by water
  --area A, --mix V, --row L, --plants N   where it counts by those ("0.07 m2", "20 l", "3 m", 4)
  --system us|uk   which gallons, pints and spoons are meant
  --json           {"productMl":1.111...} or {"productG":4.9}`;

/** `turnspit dose`: prints what to measure out. */
export function doseVerb(args: readonly string[]): void {
  const { values } = parseArgs({
    args: [...args],
    options: {
      label: { type: 'string' },
      strength: { type: 'string' },
      take: { type: 'string' },
      volume: { type: 'string' },
      area: { type: 'string' },
      mix: { type: 'string' },
      row: { type: 'string' },
      plants: { type: 'string' },
      system: { type: 'string' },
      json: { type: 'boolean', default: false },
    },
  });
  const system = systemOf(values.system);
  const rate = parseLabelRate(values.label ?? '', system);
  if (!rate.ok) refuse(`--label: ${rateSentence(rate.trouble)}`);
  const choice = option(
    z.enum(['low', 'middle', 'high']),
    values.take ?? 'high',
    '--take',
    'low, middle or high',
  );
  const dose = doseFor(
    rate.value,
    choice,
    numberOption(values.strength, '--strength', { least: 0.001, most: 100, otherwise: 1 }),
    {
      waterMl:
        values.volume === undefined
          ? undefined
          : amount(values.volume, '--volume', 'volume', system),
      areaM2: values.area === undefined ? undefined : amount(values.area, '--area', 'area', system),
      mixMl: values.mix === undefined ? undefined : amount(values.mix, '--mix', 'volume', system),
      rowMm: values.row === undefined ? undefined : amount(values.row, '--row', 'length', system),
      plants: numberOption(values.plants, '--plants', { least: 1, most: 10_000, otherwise: 1 }),
    },
  );
  if (dose === undefined)
    refuse(
      `The label counts by ${rate.value.per.kind}: say how much with ${WANTED[rate.value.per.kind]}.`,
    );
  const name = rate.value.of === 'mass' ? 'productG' : 'productMl';
  process.stdout.write(
    values.json
      ? `${JSON.stringify({ [name]: dose })}\n`
      : `${Number(dose.toPrecision(4))} ${rate.value.of === 'mass' ? 'g' : 'ml'}\n`,
  );
}

const WANTED = {
  water: '--volume',
  area: '--area',
  mix: '--mix',
  row: '--row',
  plant: '--plants',
  container: '--plants',
} as const;
