import { parseArgs } from 'node:util';
import { z } from 'zod';
import { amount, systemOf } from '@/cli/amount';
import { maybeNumber, numberOption } from '@/cli/number-option';
import { option } from '@/cli/option';
import { refuse } from '@/cli/refuse';
import { type DoseTarget, doseFor } from '@/core/materials/label/label-rate';
import { parseLabelRate } from '@/core/materials/label/rate/parse-label-rate';
import { rateSentence } from '@/core/materials/label/rate/rate-trouble';
import { circleM2 } from '@/core/materials/mix/container-volume';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { LabelRate } from '@/core/trial/model/label-rate';
import { analysisOf } from './grade-options';

export const DOSE_HELP = `turnspit dose --label "20 ml per 4.5 l" --volume "0.5 l" [--strength 0.5] [--json]
How much product one pot, plant or bed gets, from the rate on its label.
  --label RATE     as the pack writes it: "20 ml to 4.5 litres", "70 g per square metre", "1 part to 16", "5-10 ml per litre of mix",
                   "20 ml in 4 l for 3 plants", "3 tbsp per 12 in pot", "4.5 handfuls (30 g) per 20 plants", "1 tbsp per gallon, weekly"
  --strength S     a share of the label’s rate (1)
  --take low|middle|high   where the label gives a range (high)
  --volume V       water to the unit, product and all, where the rate counts by water
  --area A, --mix V, --row L, --plants N, --pot W   where it counts by those ("0.07 m2", "20 l", "3 m", 4, "12 in" across)
  --grade N-P-K    for a rate of a nutrient: "1 lb N per 1000 sq ft"; with --basis oxide|element, --per w/w|w/v, --density D (g per ml)
  --system us|uk   which gallons, pints and spoons are meant. Without it a label of spoons is read as a US one, and that is said
  --json           {"productMl":1.111...} or {"productG":4.9}; with "everyDays" where the label says how often, and "system" where it was taken`;

const OPTIONS = {
  label: { type: 'string' },
  strength: { type: 'string' },
  take: { type: 'string' },
  volume: { type: 'string' },
  area: { type: 'string' },
  mix: { type: 'string' },
  row: { type: 'string' },
  plants: { type: 'string' },
  pot: { type: 'string' },
  grade: { type: 'string' },
  basis: { type: 'string' },
  per: { type: 'string' },
  density: { type: 'string' },
  system: { type: 'string' },
  json: { type: 'boolean', default: false },
} as const;

type Values = ReturnType<typeof valuesOf>;

function valuesOf(args: readonly string[]) {
  return parseArgs({ args: [...args], options: OPTIONS }).values;
}

/** `turnspit dose`: prints what to measure out. */
export function doseVerb(args: readonly string[]): void {
  const values = valuesOf(args);
  const { rate, system, isTaken } = rateOf(values);
  const choice = option(
    z.enum(['low', 'middle', 'high']),
    values.take ?? 'high',
    '--take',
    'low, middle or high',
  );
  const strength = numberOption(values.strength, '--strength', {
    least: 0.001,
    most: 100,
    otherwise: 1,
  });
  const dose = doseFor(rate, choice, strength, targetOf(values, system));
  if (dose === undefined)
    refuse(
      `The label counts by ${WANTED[rate.per.kind].by}: say how much with ${WANTED[rate.per.kind].option}.`,
    );
  const often = rate.everyDays === undefined ? {} : { everyDays: rate.everyDays };
  const name = rate.of === 'mass' ? 'productG' : 'productMl';
  process.stdout.write(
    values.json
      ? `${JSON.stringify({ [name]: dose, ...often, ...(isTaken ? { system } : {}) })}\n`
      : `${Number(dose.toPrecision(4))} ${rate.of === 'mass' ? 'g' : 'ml'}${rate.everyDays === undefined ? '' : `, every ${rate.everyDays} days`}\n`,
  );
}

/** A label of spoons is taken as a US one where nobody says whose; gallons, pints and cups alone are asked back. */
function rateOf(values: Values): {
  readonly rate: LabelRate;
  readonly system: MeasureSystem | undefined;
  readonly isTaken: boolean;
} {
  const label = values.label ?? '';
  const system = systemOf(values.system);
  const product =
    values.grade === undefined
      ? undefined
      : {
          analysis: analysisOf(values.grade, '--grade', values.basis, values.per),
          densityGPerMl:
            maybeNumber(values.density, '--density', { least: 0.01, most: 20 }) ?? null,
        };
  const read = parseLabelRate(label, { system, product });
  if (read.ok) return { rate: read.value, system, isTaken: false };
  const isOfSpoons = /\b(?:tsp|tbsp|tbs|tea ?spoon|table ?spoon)s?\b/i.test(label);
  const again =
    read.trouble.kind === 'whose-measures' && isOfSpoons
      ? parseLabelRate(label, { system: 'us', product })
      : read;
  if (!again.ok) refuse(`--label: ${rateSentence(again.trouble, { system })}`);
  process.stderr.write('--label: read in US measures; --system uk takes British ones.\n');
  return { rate: again.value, system: 'us', isTaken: true };
}

function targetOf(values: Values, system: MeasureSystem | undefined): DoseTarget {
  return {
    waterMl:
      values.volume === undefined ? undefined : amount(values.volume, '--volume', 'volume', system),
    areaM2: areaOf(values, system),
    mixMl: values.mix === undefined ? undefined : amount(values.mix, '--mix', 'volume', system),
    rowMm: values.row === undefined ? undefined : amount(values.row, '--row', 'length', system),
    plants: numberOption(values.plants, '--plants', { least: 1, most: 10_000, otherwise: 1 }),
  };
}

function areaOf({ area, pot }: Values, system: MeasureSystem | undefined): number | undefined {
  if (area !== undefined) return amount(area, '--area', 'area', system);
  return pot === undefined ? undefined : circleM2(amount(pot, '--pot', 'length', system));
}

const WANTED = {
  water: { by: 'water', option: '--volume' },
  area: { by: 'area', option: '--area' },
  mix: { by: 'mix', option: '--mix' },
  row: { by: 'row', option: '--row' },
  plant: { by: 'plants', option: '--plants' },
  container: { by: 'the size of the pot', option: '--pot' },
} as const;
