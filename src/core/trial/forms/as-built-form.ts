import { z } from 'zod';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { exampleAmounts, quantitySentence } from '@/core/quantity/quantity-sentence';
import type { Dimension, MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { type CalendarDay, GardenDay } from '@/core/time/garden-day';
import { type AsBuilt, NOT_SAID } from '@/core/trial/model/as-built';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';
import { type FieldTroubles, fieldTroublesOf } from './field-troubles';

const text = z.string().trim().max(60, 'At most 60 characters.').default('');

/** What units really are, as it is typed. An empty line leaves what stood there; “none” takes it away. */
export const AsBuiltForm = z.object({
  /** `all`, or `block:`, `treatment:` or `unit:` with the id. */
  which: z.string().max(60),
  size: text,
  litres: text,
  plants: text,
  seed: text,
  plantedDeep: text,
  plantedOn: text,
  lot: text,
  container: text,
  medium: text,
});
export type AsBuiltForm = z.input<typeof AsBuiltForm>;

/** What was said, and of which units. */
export interface BuiltChange {
  readonly unitIds: readonly ExperimentalUnit['id'][];
  readonly changes: Partial<AsBuilt>;
}

const NONE = /^(none|-|–)$/i;

/** Reads what units really are. @param isOpen whether it may be said by treatment: of a blind trial it would tell whose they are */
export function readAsBuilt(
  input: unknown,
  data: Pick<TrialData, 'units'>,
  { system, isOpen }: { readonly system: MeasureSystem; readonly isOpen: boolean },
): Result<BuiltChange, FieldTroubles> {
  const parsed = AsBuiltForm.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const form = parsed.data;
  const unitIds = unitsOf(form.which, data, isOpen);
  if (unitIds.length === 0) return failure({ which: 'Choose which they are.' });
  const read = {
    areaM2: areaIn(form.size, system),
    mixMl: amountIn(form.litres, system, 'volume'),
    plants: countIn(form.plants),
    seedG: amountIn(form.seed, system, 'mass'),
    plantedMm: amountIn(form.plantedDeep, system, 'length'),
    plantedOn: dayIn(form.plantedOn),
    lot: wordsIn(form.lot),
    container: wordsIn(form.container),
    medium: wordsIn(form.medium),
  };
  const troubles = Object.fromEntries(
    Object.entries(read).flatMap(([key, each]) =>
      each.ok ? [] : [[FIELD_OF[key as keyof typeof FIELD_OF] ?? key, each.trouble]],
    ),
  );
  if (Object.keys(troubles).length > 0) return failure(troubles);
  const changes: Partial<AsBuilt> = Object.fromEntries(
    Object.entries(read).flatMap(([key, each]) =>
      each.ok && each.value !== undefined ? [[key, each.value]] : [],
    ),
  );
  return Object.keys(changes).length === 0
    ? failure({ size: 'Write at least one of these.' })
    : success({ unitIds, changes });
}

const FIELD_OF = {
  areaM2: 'size',
  mixMl: 'litres',
  plants: 'plants',
  seedG: 'seed',
  plantedMm: 'plantedDeep',
  plantedOn: 'plantedOn',
} as const;

/** What stands of a unit after a change; null where nothing is said any more. */
export function builtAfter(before: AsBuilt | null, changes: Partial<AsBuilt>): AsBuilt | null {
  const after = { ...NOT_SAID, ...before, ...changes };
  return Object.values(after).every(value => value === null || value === '') ? null : after;
}

function unitsOf(
  which: string,
  { units }: Pick<TrialData, 'units'>,
  isOpen: boolean,
): readonly ExperimentalUnit['id'][] {
  const [kind, id] = which.split(':');
  return units
    .filter(
      unit =>
        kind === 'all' ||
        (kind === 'block' && unit.blockId === id) ||
        (kind === 'unit' && unit.id === id) ||
        (kind === 'treatment' && isOpen && unit.treatmentId === id),
    )
    .map(unit => unit.id);
}

/** Undefined: nothing was written, so nothing changes. */
type Said<Value> = Result<Value | null | undefined, string>;

function amountIn(written: string, system: MeasureSystem, dimension: Dimension): Said<number> {
  if (written === '') return success(undefined);
  if (NONE.test(written)) return success(null);
  const read = parseQuantity(written, { system, dimension });
  if (!read.ok) return failure(quantitySentence(read.trouble, { system, wanted: dimension }));
  return read.value.base > 0
    ? success(read.value.base)
    : failure(`More than none, such as ${exampleAmounts(dimension, system)}.`);
}

const SIDES = /^([\d.,]+)\s*([a-z'"]*)\s*(?:x|by|×)\s*([\d.,]+)\s*([a-z'"]+)$/i;
function areaSentence(system: MeasureSystem): string {
  return system === 'us'
    ? 'A width such as 12 in, two sides such as 12 x 16 in, or an area.'
    : 'A width such as 30 cm, two sides such as 30 x 40 cm, or an area.';
}

/** `30 cm` across, `30 x 40 cm`, `0.5 m2`. */
function areaIn(written: string, system: MeasureSystem): Said<number> {
  if (written === '') return success(undefined);
  if (NONE.test(written)) return success(null);
  const sides = SIDES.exec(written);
  const read = sides
    ? [`${sides[1]} ${sides[2] || sides[4]}`, `${sides[3]} ${sides[4]}`].map(side =>
        parseQuantity(side, { system, dimension: 'length' }),
      )
    : [parseQuantity(written.replace(/\s*(?:across|wide|round)$/i, ''), { system })];
  const [first, second] = read;
  const wants = areaSentence(system);
  if (!first?.ok)
    return failure(first ? quantitySentence(first.trouble, { system, wanted: 'length' }) : wants);
  if (second) {
    const m2 = second.ok ? (first.value.base * second.value.base) / 1e6 : 0;
    return m2 > 0 ? success(m2) : failure(wants);
  }
  const { dimension, base } = first.value;
  if (base <= 0 || (dimension !== 'length' && dimension !== 'area')) return failure(wants);
  return success(dimension === 'area' ? base : (Math.PI / 4) * (base / 1000) ** 2);
}

function countIn(written: string): Said<number> {
  if (written === '') return success(undefined);
  if (NONE.test(written)) return success(null);
  const count = /^\d{1,5}$/.test(written) ? Number(written) : 0;
  return count > 0 ? success(count) : failure('A whole number, from 1.');
}

function dayIn(written: string): Said<CalendarDay> {
  if (written === '') return success(undefined);
  const day = GardenDay.safeParse(written);
  return day.success ? success(day.data) : failure('Choose a day.');
}

function wordsIn(written: string): Result<string | undefined, string> {
  return success(written === '' ? undefined : NONE.test(written) ? '' : written);
}
