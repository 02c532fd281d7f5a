import { z } from 'zod';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { LayoutKind } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';
import type { Treatment } from '@/core/trial/model/treatment';
import { choosePlants, type RaisedPlant } from './choose-plants';
import { deal } from './deal';
import { dealPlanOf, layoutMisfit } from './deal-plan';
import type { LayoutMisfit, LayoutRequest } from './layout-definition';
import { LAYOUTS } from './layouts';

const whole = (least: number, most: number, what: string) =>
  z
    .string()
    .trim()
    .regex(/^\d{1,4}$/, `Write a whole number of ${what}.`)
    .transform(Number)
    .pipe(z.int().min(least, `At least ${least} ${what}.`).max(most, `At most ${most} ${what}.`));
const word = (missing: string) =>
  z.string().trim().min(1, missing).max(30, 'At most 30 characters.');
const size = z.string().max(60, 'That is too long.');

/** A layout as it is typed. Only the fields that its kind needs are looked at. */
export const BenchForm = z.object({
  kind: LayoutKind,
  /** Of each treatment: in all, or in each block. */
  unitsEach: whole(1, 60, 'units'),
  /** Of the control, where it gets more; empty where it does not. */
  controlEach: z
    .string()
    .trim()
    .regex(/^\d{0,2}$/, 'A whole number, or nothing where it gets as many as the others.')
    .default(''),
  blockCount: whole(2, 24, 'blocks'),
  blockWord: word('Say what a block is: shelf, bed, slope strip.'),
  columnWord: word('Say what a column is: row of the bench, day, column.').default('column'),
  wholeWord: word('Say what a whole plot is: bed, bench, trough.').default('bed'),
  wholeFactor: z.string().max(60).default(''),
  perBlock: whole(2, 24, 'units in a block').default(3),
  /** How many benches or beds the blocks stand on. */
  benches: whole(1, 12, 'benches').default(1),
  unitShape: z.enum(['round', 'square']).default('round'),
  unitWidth: size,
  unitDepth: size.default(''),
  isBlind: z.boolean(),
  /** Blocks as columns. */
  isTurned: z.boolean().default(false),
  /** Sizes of all plants raised, numbers with spaces between them; empty where none were measured. */
  startSizes: z.string().max(4000, 'That is too long.').default(''),
});
type Parsed = z.infer<typeof BenchForm>;
/** A layout as its form holds it. */
export type BenchDraft = Readonly<Omit<z.input<typeof BenchForm>, 'isBlind'>> & {
  readonly isBlind: boolean;
};

/** A layout that can be dealt. */
export interface BenchRequest extends LayoutRequest {
  readonly unitShape: Place['shape'];
  readonly unitWidthMm: number;
  readonly unitDepthMm: number;
  readonly isBlind: boolean;
  /** The plants that take part, in the order of their places; undefined where none were measured. */
  readonly plants: readonly RaisedPlant[] | undefined;
  readonly raisedSizes: readonly number[];
}

/** More units than this are no home trial, and no bench to look at. */
const MOST_UNITS = 240;

/** Reads a layout as it came from the form. A bare width is in cm or, in a US garden, in inches. */
export function readBench(
  input: unknown,
  system: MeasureSystem,
  treatments: readonly Treatment[],
): Result<BenchRequest, FieldTroubles> {
  const parsed = BenchForm.safeParse(withoutUnasked(input));
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const form = parsed.data;
  const request = requestOf(form, treatments.length);
  const misfit = layoutMisfit(request, treatments);
  if (misfit) return failure({ [FIELD_OF[misfit.kind]]: misfitSentence(misfit) });
  if (request.benches > request.blockCount && request.benches > 1)
    return failure({
      benches: `${request.benches} benches for ${request.blockCount} blocks: a block stands on one bench.`,
    });
  const units = unitCount(request, treatments);
  if (units > MOST_UNITS)
    return failure({
      unitsEach: `That makes ${units}; at most ${MOST_UNITS} fit one trial.`,
    });
  const width = readSize(form.unitWidth, system);
  const depth =
    form.unitShape === 'round' || form.unitDepth.trim() === ''
      ? width
      : readSize(form.unitDepth, system);
  const sizes = readSizes(form.startSizes);
  const plants = readPlants(sizes, units, LAYOUTS[request.kind].hasBlocks);
  const troubles: FieldTroubles = {
    ...(width.ok ? {} : { unitWidth: width.trouble }),
    ...(depth.ok ? {} : { unitDepth: depth.trouble }),
    ...(plants.ok ? {} : { startSizes: plants.trouble }),
  };
  if (!width.ok || !depth.ok || !plants.ok) return failure(troubles);
  return success({
    ...request,
    unitShape: form.unitShape,
    unitWidthMm: width.value,
    unitDepthMm: depth.value,
    isBlind: form.isBlind,
    plants: plants.value,
    raisedSizes: sizes.ok ? sizes.value : [],
  });
}

/** What stands in for what another kind of layout asks, where that can't be read: nobody could see the line to put it right. */
const UNASKED = {
  unitsEach: '1',
  controlEach: '',
  blockCount: '2',
  blockWord: 'block',
  columnWord: 'column',
  wholeWord: 'bed',
  wholeFactor: '',
  perBlock: '3',
  benches: '1',
} as const satisfies Partial<Record<keyof Parsed, string>>;

/** The form as it came, with lines that its kind of layout does not show put right. */
function withoutUnasked(input: unknown): unknown {
  const kind = z.looseObject({ kind: LayoutKind }).safeParse(input);
  if (!kind.success) return input;
  const { fields, goesOnBenches } = LAYOUTS[kind.data.kind];
  const asked = new Set<string>(fields.map(field => field.key));
  const form: Record<string, unknown> = { ...kind.data };
  for (const [key, usual] of Object.entries(UNASKED)) {
    const isAsked = asked.has(key) || (key === 'benches' && goesOnBenches);
    const schema: z.ZodType | undefined = Object.entries(BenchForm.shape).find(
      ([name]) => name === key,
    )?.[1];
    if (!isAsked && schema && !schema.safeParse(form[key]).success) form[key] = usual;
  }
  return form;
}

function requestOf(form: Parsed, treatments: number): LayoutRequest {
  const { kind } = form;
  const layout = LAYOUTS[kind];
  const asks = new Set(layout.fields.map(field => field.key));
  const control = Number(form.controlEach);
  return {
    kind,
    each: layout.takesCopies ? form.unitsEach : 1,
    blockCount: layout.hasColumns ? treatments : form.blockCount,
    blockWord: form.blockWord,
    isTurned: form.isTurned,
    columnWord: asks.has('columnWord') ? form.columnWord : null,
    wholeWord: asks.has('wholeWord') ? form.wholeWord : null,
    wholeFactor: asks.has('wholeFactor') ? form.wholeFactor : null,
    benches: layout.goesOnBenches ? form.benches : 1,
    perBlock: asks.has('perBlock') ? form.perBlock : null,
    controlEach: layout.takesCopies && control > 0 && control !== form.unitsEach ? control : null,
  };
}

/** How many units a layout takes. */
export function unitCount(request: LayoutRequest, treatments: readonly Treatment[]): number {
  return deal(dealPlanOf(request, treatments), 0).length;
}

const FIELD_OF: Readonly<Record<LayoutMisfit['kind'], keyof Parsed>> = {
  'pairs-need-two': 'kind',
  'square-too-big': 'kind',
  'needs-whole-factor': 'wholeFactor',
  'not-crossed': 'wholeFactor',
  'block-holds-all': 'perBlock',
  'too-few-places': 'blockCount',
};

function misfitSentence(misfit: LayoutMisfit): string {
  switch (misfit.kind) {
    case 'pairs-need-two':
      return `Pairs hold two treatments, and there are ${misfit.treatments}. Use blocks.`;
    case 'square-too-big':
      return `A square of ${misfit.treatments} takes ${misfit.treatments ** 2} places; at most ${misfit.most} treatments. Use blocks.`;
    case 'needs-whole-factor':
      return misfit.factors.length < 2
        ? 'A split plot needs two crossed factors: set them up under Ask.'
        : `Say which was dealt to the whole plots: ${misfit.factors.join(' or ')}.`;
    case 'not-crossed':
      return `Every level of ${misfit.factor} must come with every level of the others: a cell is empty.`;
    case 'block-holds-all':
      return `A block that holds ${misfit.treatments} is a complete one. Use blocks.`;
    case 'too-few-places':
      return `${misfit.places} places can’t hold ${misfit.treatments} treatments once.`;
  }
}

function readSize(written: string, system: MeasureSystem): Result<number, string> {
  const read = parseQuantity(written, {
    system,
    dimension: 'length',
    bareUnit: system === 'us' ? 'in' : 'cm',
  });
  if (!read.ok) return failure(quantitySentence(read.trouble, { system, wanted: 'length' }));
  return read.value.base < 20 || read.value.base > 20_000
    ? failure(system === 'us' ? 'Between 1 in and 65 ft across.' : 'Between 2 cm and 20 m across.')
    : success(read.value.base);
}

/** The plants of a list of sizes that take part; undefined where nothing is written. More than there are places: the most alike. */
function readPlants(
  sizes: Result<readonly number[], string>,
  units: number,
  bySize: boolean,
): Result<readonly RaisedPlant[] | undefined, string> {
  if (!sizes.ok) return sizes;
  if (sizes.value.length === 0) return success(undefined);
  return sizes.value.length < units
    ? failure(
        `${sizes.value.length} sizes for ${units} places. One for each, or more to choose from.`,
      )
    : success(choosePlants(sizes.value, units, bySize).chosen);
}

/** Sizes as people list them: numbers with spaces, commas or line breaks between them. */
export function readSizes(written: string): Result<readonly number[], string> {
  const parts = written.split(/[\s;]+|,(?!\d)/).filter(part => part !== '');
  const bad = parts.find(part => !/^\d+([.,]\d+)?$/.test(part));
  return bad === undefined
    ? success(parts.map(part => Number(part.replace(',', '.'))))
    : failure(`“${bad}” is not a size. Write numbers with spaces between them, in one unit.`);
}
