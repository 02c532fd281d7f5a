import { z } from 'zod';
import { parseQuantity, type Quantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { GardenDay } from '@/core/time/garden-day';
import { PickId, UnitId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import { CullReason, Outcome, type Pick } from '@/core/trial/model/pick';
import { needsPicks } from '@/core/trial/model/scale';
import { type FieldTroubles, fieldTroublesOf } from './field-troubles';

/** A pick as it is typed. The id is made where it is typed, so that it can be sent twice. */
export const PickForm = z.object({
  id: PickId,
  unitId: UnitId,
  supersedes: PickId.nullable(),
  pickedOn: z
    .string()
    .pipe(z.iso.date('That is not a date. Write it as 2026-08-03.'))
    .pipe(GardenDay),
  outcome: Outcome,
  pieces: z.string().max(60, 'That is too long for a number.'),
  gross: z.string().max(10_000),
  tare: z.string().max(10_000),
  grade: z.enum(['sound', 'cull']),
  cullReason: CullReason.nullable(),
  note: z.string().max(2000, 'A note has at most 2000 characters.'),
  by: z.string().trim().max(80, 'A name has at most 80 characters.').default(''),
  /** Whoever typed it says that it is a second pick, the same as one of that day. */
  isSecond: z.boolean().default(false),
});
export type PickForm = z.infer<typeof PickForm>;

/** Whether a form says so. */
export function isSecondPick(input: unknown): boolean {
  return PickForm.pick({ isSecond: true }).safeParse(input).data?.isSecond === true;
}

/** What the reader of a pick needs to know beforehand. */
export interface PickContext {
  readonly system: MeasureSystem;
  readonly today: string;
  readonly startsOn: string;
  readonly mainMeasure: Measure;
  /** The instant it is taken, UTC. */
  readonly now: string;
}

/** More than any pot or bed gives at one pick; what lies above is a slip of the hand. */
const MOST_G = 500_000;
const MOST_PIECES = 100_000;
const MOST_LOADS = 20;

/** Reads a pick as it came from the form. Net is gross less tare; bare weights are in g or, in a US garden, in oz. */
export function readPick(input: unknown, context: PickContext): Result<Pick, FieldTroubles> {
  const parsed = PickForm.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const form = parsed.data;
  const dateTrouble = dayTrouble(form.pickedOn, context);
  const amounts = form.outcome === 'picked' ? readAmounts(form, context) : success(NOTHING);
  const troubles: FieldTroubles = {
    ...(dateTrouble ? { pickedOn: dateTrouble } : {}),
    ...(amounts.ok ? {} : amounts.trouble),
  };
  if (!amounts.ok || Object.keys(troubles).length > 0) return failure(troubles);
  const isCull = form.outcome === 'picked' && form.grade === 'cull';
  if (isCull && form.cullReason === null) return failure({ cullReason: 'Say why it was culled.' });
  return success({
    id: form.id,
    unitId: form.unitId,
    pickedOn: form.pickedOn,
    takenAt: context.now,
    outcome: form.outcome,
    ...amounts.value,
    grade: isCull ? 'cull' : 'sound',
    cullReason: isCull ? form.cullReason : null,
    note: form.note.trim(),
    by: form.by,
    supersedes: form.supersedes,
    isRemoval: false,
  });
}

type Amounts = globalThis.Pick<Pick, 'pieces' | 'grossG' | 'tareG' | 'netG' | 'asWritten'>;

const NOTHING: Amounts = { pieces: null, grossG: null, tareG: 0, netG: null, asWritten: '' };

function dayTrouble(pickedOn: string, context: PickContext): string | undefined {
  if (pickedOn > context.today) return `${pickedOn} is still to come. Today is ${context.today}.`;
  return pickedOn < context.startsOn
    ? `${pickedOn} lies before the trial began, on ${context.startsOn}.`
    : undefined;
}

function readAmounts(form: PickForm, context: PickContext): Result<Amounts, FieldTroubles> {
  const pieces = readPieces(form.pieces);
  const gross = form.gross.trim() === '' ? success(null) : readWeight(form.gross, context.system);
  const tare = form.tare.trim() === '' ? success(null) : readWeight(form.tare, context.system);
  const troubles: FieldTroubles = {
    ...(pieces.ok ? {} : { pieces: pieces.trouble }),
    ...(gross.ok ? {} : { gross: gross.trouble }),
    ...(tare.ok ? {} : { tare: tare.trouble }),
  };
  if (!pieces.ok || !gross.ok || !tare.ok) return failure(troubles);
  const tareG = tare.value?.base ?? 0;
  const missing = missingFor(context.mainMeasure, pieces.value, gross.value);
  if (missing) return failure(missing);
  if (gross.value === null) return success({ ...NOTHING, pieces: pieces.value });
  if (gross.value.base < tareG)
    return failure({
      gross: `The scale shows less than the empty container (${form.tare.trim()}). Look at both again.`,
    });
  return success({
    pieces: pieces.value,
    grossG: gross.value.base,
    tareG,
    netG: gross.value.base - tareG,
    asWritten: gross.value.asWritten,
  });
}

function readPieces(written: string): Result<number | null, string> {
  const trimmed = written.trim();
  if (trimmed === '') return success(null);
  if (/^[-−]\d/.test(trimmed)) return failure('A count can’t be below zero.');
  if (!/^\d+$/.test(trimmed))
    return failure(`“${shortened(trimmed)}” is not a whole number of pieces.`);
  const pieces = Number(trimmed);
  if (pieces === 0)
    return failure('For no pieces, choose “nothing to pick”: a zero is a reading of its own.');
  return pieces > MOST_PIECES
    ? failure(`${shortened(trimmed)} pieces at once? At most ${MOST_PIECES} are taken.`)
    : success(pieces);
}

/** One weight, or several loads with a plus between them. */
function readWeight(written: string, system: MeasureSystem): Result<Quantity, string> {
  const loads = written.split('+');
  if (loads.length > MOST_LOADS) return failure(`At most ${MOST_LOADS} loads at once.`);
  const read = loads.map(load => readLoad(load, system));
  const bad = read.find(each => !each.ok);
  const [first] = read;
  if (bad || !first?.ok) return bad ?? failure('Write a weight.');
  const base = read.reduce((sum, each) => sum + (each.ok ? each.value.base : 0), 0);
  return base > MOST_G
    ? failure(
        `“${shortened(written.trim())}” is more than any pot or bed gives at once. At most ${system === 'us' ? '1,100 lb' : '500 kg'} are taken.`,
      )
    : success({
        ...first.value,
        base,
        asWritten: loads.length === 1 ? first.value.asWritten : written.trim().slice(0, 80),
      });
}

function readLoad(written: string, system: MeasureSystem): Result<Quantity, string> {
  const read = parseQuantity(written, {
    system,
    dimension: 'mass',
    bareUnit: system === 'us' ? 'oz' : 'g',
  });
  if (!read.ok) return failure(quantitySentence(read.trouble, { system }));
  return read.value.base > MOST_G
    ? failure(
        `“${shortened(written.trim())}” is more than any pot or bed gives at once. At most ${system === 'us' ? '1,100 lb' : '500 kg'} are taken.`,
      )
    : read;
}

/** Which sums of the harvest the main measure is, or is worked out of. */
function harvestsIn({ scale, summary }: Measure): readonly string[] {
  return scale?.kind === 'derived'
    ? [scale.of, scale.by].flatMap(term => (term.kind === 'harvest' ? [term.what] : []))
    : [summary];
}

function missingFor(
  main: Measure,
  pieces: number | null,
  gross: Quantity | null,
): FieldTroubles | undefined {
  if (!needsPicks(main.scale))
    return gross === null && pieces === null
      ? { gross: 'What does the scale show, or how many pieces?' }
      : undefined; // the harvest is beside the question here
  const needed = harvestsIn(main);
  const needsWeight = needed.some(what => what.endsWith('weight'));
  const needsPieces = needed.some(what => !what.endsWith('weight') || what === 'mean-piece-weight');
  if (needsWeight && gross === null)
    return { gross: 'What does the scale show? The main measure of this trial is a weight.' };
  if (needsPieces && pieces === null)
    return { pieces: 'How many pieces? The main measure of this trial counts them.' };
  return undefined;
}

function shortened(written: string): string {
  return written.length > 30 ? `${written.slice(0, 29)}…` : written;
}
