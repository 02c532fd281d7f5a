import { z } from 'zod';
import { failure, type Result, success } from '@/core/result';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { MeasureId } from '@/core/trial/model/ids';
import { type Measure, PartsAre } from '@/core/trial/model/measure';
import { DayRule, type Scale } from '@/core/trial/model/scale';
import { DerivedForm, readDerived } from './derived-form';
import type { ReadingKind } from './reading-kind';
import { readingKind } from './reading-library';

const list = z.string().trim().max(600, 'That is too long.').default('');

/** Scales that a gardener's own measure may have. */
export const OwnScale = z.enum([
  'continuous',
  'count',
  'proportion',
  'ordinal',
  'yes-no',
  'date',
  'days',
  'class',
  'rank',
  'percent',
]);
export type OwnScale = z.infer<typeof OwnScale>;

/** A measure of the library, or the gardener's own, as it is chosen. */
export const MeasureForm = z.discriminatedUnion('from', [
  DerivedForm,
  z.object({ from: z.literal('library'), key: z.string().max(40) }),
  z.object({
    from: z.literal('own'),
    name: z.string().trim().min(1, 'Give it a name.').max(120, 'At most 120 characters.'),
    definition: z
      .string()
      .trim()
      .min(10, 'From where to where, and what counts? Write it so that two people do the same.')
      .max(400, 'At most 400 characters.'),
    scale: OwnScale,
    unit: z.string().trim().max(12, 'At most 12 characters.').default(''),
    /** Of steps and classes: one a line, the lowest first. */
    steps: list,
    better: z.enum(['higher', 'lower']).default('higher'),
    parts: z.coerce.number().int().min(1).max(60).default(1),
    partsAre: PartsAre.default('averaged'),
    days: DayRule.default('mean'),
    /** Of the value on a day: which, counted from the trial's start. */
    onDay: z.string().trim().max(5).default(''),
  }),
]);
export type MeasureForm = z.input<typeof MeasureForm>;

/** Makes a trial's measure from the library or from the gardener's own words. */
export function readMeasure(
  input: unknown,
  existing: readonly Measure[],
  id: string,
): Result<Measure, FieldTroubles> {
  const parsed = MeasureForm.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const form = parsed.data;
  if (form.from === 'library') {
    const kind = readingKind(form.key);
    if (!kind) return failure({ key: 'Choose one of the list.' });
    return existing.some(measure => measure.kindKey === kind.key)
      ? failure({ key: `${kind.name} is read already.` })
      : success(measureFromLibrary(kind, id));
  }
  if (form.from === 'derived') return derivedMeasure(form, existing, id);
  const onDay = dayAsked(form.days, form.onDay);
  if (onDay === undefined)
    return failure({ onDay: 'Which day, counted from the start: 0 to 1100.' });
  if (existing.some(measure => measure.name.toLowerCase() === form.name.toLowerCase()))
    return failure({ name: 'A measure of this trial has that name.' });
  const scale = scaleOf(
    form.scale,
    form.steps
      .split('\n')
      .map(step => step.trim())
      .filter(step => step !== ''),
  );
  if (!scale) return failure({ steps: 'At least two, one a line, the lowest first.' });
  return success(measureFrom({ ...form, key: null, scale, onDay }, id));
}

function derivedMeasure(
  form: unknown,
  existing: readonly Measure[],
  id: string,
): Result<Measure, FieldTroubles> {
  const facts = readDerived(form, existing);
  return facts.ok
    ? success(measureFrom({ ...facts.value, key: null, parts: 1, days: 'mean' }, id))
    : facts;
}

/** null where no day is asked for; undefined where it is no day. */
function dayAsked(days: DayRule, written: string): number | null | undefined {
  if (days !== 'on-day') return null;
  const day = /^\d{1,4}$/.test(written) ? Number(written) : Number.NaN;
  return day <= 1100 ? day : undefined;
}

/** What a derived measure is worked out of and the trial does not read yet. */
export function componentsOf(
  scale: Scale | null,
  existing: readonly Measure[],
  newId: () => string,
): readonly Measure[] {
  if (scale?.kind !== 'derived') return [];
  const keys = [scale.of, scale.by].flatMap(term =>
    term.kind === 'reading' ? [term.key] : term.kind === 'hours' ? ['labour'] : [],
  );
  return [...new Set(keys)].flatMap(key => {
    const kind = existing.some(measure => measure.kindKey === key) ? undefined : readingKind(key);
    return kind ? [measureFromLibrary(kind, newId())] : [];
  });
}

/** A measure of the library as a trial takes it: not its main one. */
export function measureFromLibrary(kind: ReadingKind, id: string): Measure {
  return measureFrom({ ...kind, better: kind.better === 'lower' ? 'lower' : 'higher' }, id);
}

interface Facts {
  readonly key: string | null;
  readonly name: string;
  readonly definition: string;
  readonly scale: Scale;
  readonly unit: string;
  readonly better: Measure['better'];
  readonly parts: number;
  readonly partsAre?: Measure['partsAre'];
  readonly days: DayRule;
  readonly onDay?: number | null;
}

function measureFrom(
  {
    key,
    name,
    definition,
    scale,
    unit,
    better,
    parts,
    partsAre = 'averaged',
    days,
    onDay = null,
  }: Facts,
  id: string,
): Measure {
  return {
    id: MeasureId.parse(id),
    name,
    definition,
    response: name.toLowerCase(),
    unit,
    summary: `reading-${days}`,
    better,
    margin: null,
    isMain: false,
    kindKey: key,
    scale,
    parts,
    partsAre,
    onDay,
    optimum: null,
  };
}

function scaleOf(kind: OwnScale, steps: readonly string[]): Scale | undefined {
  switch (kind) {
    case 'continuous':
      return { kind, least: -1_000_000, most: 1_000_000 };
    case 'proportion':
      return { kind, outOf: null };
    case 'percent':
      return { kind, step: 1 };
    case 'days':
      return { kind, most: 1100 };
    case 'ordinal':
      return steps.length < 2 ? undefined : { kind, from: 1, steps, hasBeyond: false };
    case 'class':
      return steps.length < 2 ? undefined : { kind, classes: steps };
    case 'count':
    case 'yes-no':
    case 'date':
    case 'rank':
      return { kind };
  }
}
