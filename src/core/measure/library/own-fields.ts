import { z } from 'zod';
import { type Measure, PartsAre } from '@/core/trial/model/measure';
import { DayRule } from '@/core/trial/model/scale';
import { OwnScale, readMeasure } from './own-measure';
import type { ReadingKind } from './reading-kind';

/** A measure of one's own as it is typed, however unfinished. */
export const OwnFields = z.object({
  name: z.string().max(120, 'At most 120 characters.'),
  definition: z.string().max(400, 'At most 400 characters.'),
  scale: OwnScale,
  unit: z.string().max(12, 'At most 12 characters.'),
  steps: z.string().max(600, 'That is too long.'),
  parts: z.string().max(3),
  partsAre: PartsAre,
  days: DayRule,
  onDay: z.string().max(5),
});
export type OwnFields = z.infer<typeof OwnFields>;

export const BLANK_OWN: OwnFields = {
  name: '',
  definition: '',
  scale: 'continuous',
  unit: '',
  steps: '',
  parts: '1',
  partsAre: 'averaged',
  days: 'mean',
  onDay: '',
};

/** What the gardener's own is called where a main measure is chosen. */
export const OWN_KEY = 'own';

/** The gardener's own measure in the shape of the library's; undefined while it can't be read. */
export function ownKind(form: OwnFields): ReadingKind | undefined {
  const read = readMeasure({ ...form, from: 'own' }, [], ANY_ID);
  if (!read.ok || read.value.scale === null) return undefined;
  const { name, definition, scale, unit, parts } = read.value;
  return {
    key: OWN_KEY,
    name,
    definition,
    scale,
    unit,
    parts,
    days: form.days,
    drawing: 'scale',
    better: 'higher',
    when: '',
    instrument: '',
    step: null,
    fromPicture: null,
  };
}

// Only its words and its scale are wanted: whose it will be is nobody's yet.
const ANY_ID = '00000000-0000-7000-8000-000000000000';

/** A measure of one's own as its form would hold it. */
export function ownFieldsOf(measure: Measure): OwnFields {
  const { scale, summary } = measure;
  return {
    name: measure.name,
    definition: measure.definition,
    scale: OwnScale.safeParse(scale?.kind).data ?? 'continuous',
    unit: measure.unit,
    steps: (scale?.kind === 'ordinal'
      ? scale.steps
      : scale?.kind === 'class'
        ? scale.classes
        : []
    ).join('\n'),
    parts: String(measure.parts),
    partsAre: measure.partsAre,
    days: DayRule.safeParse(summary.replace(/^reading-/, '')).data ?? 'mean',
    onDay: measure.onDay === null ? '' : String(measure.onDay),
  };
}
