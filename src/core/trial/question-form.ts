import { z } from 'zod';
import { HARVEST_MEASURES } from '@/core/measure/measure-library';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { quantitySentence } from '@/core/quantity/quantity-sentence';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { daysBetween, GardenDay } from './calendar-day';
import { type FieldTroubles, fieldTroublesOf } from './field-troubles';
import { MeasureId, TreatmentId } from './ids';
import type { Factor, Measure, Treatment, Trial } from './trial-data';

const words = (most: number, missing: string) => z.string({ error: missing }).trim().min(1, missing).max(most, { error: `That is too long: at most ${most} characters.` });
const day = z.string().pipe(z.iso.date('That is not a date. Write it as 2027-05-03.')).pipe(GardenDay);

/** A question as it is typed: every field a text. */
export const QuestionForm = z.object({
  question: words(300, 'Write the question in one sentence.'),
  crop: words(120, 'Say what grows in it.'),
  picked: words(60, 'Say what is picked, as in “more beans”.'),
  unitWord: words(30, 'Say what gets a treatment: pot, bed, trough.').regex(/^\p{L}[\p{L} -]*$/u, 'Letters only, such as pot or raised bed.'),
  startsOn: day, endsOn: day,
  treatments: z.array(z.object({ name: words(60, 'Give this treatment a name, or take it out.') }))
    .min(2, 'Compare at least two treatments, one of them the control.').max(8, 'At most eight treatments: with more, each gets too few pots.'),
  /** Index of the control among the treatments. */
  control: z.int().min(0),
  summary: z.enum(['sound-weight', 'sound-count', 'mean-piece-weight', 'total-weight']),
  better: z.enum(['higher', 'lower']),
  marginKind: z.enum(['percent', 'amount', 'any']),
  margin: z.string().max(60, 'That is too long.'),
});
export type QuestionForm = z.infer<typeof QuestionForm>;

/** A question that makes sense, as the trial holds it. */
export interface Question {
  readonly facts: Pick<Trial, 'question' | 'crop' | 'unitWord' | 'startsOn' | 'endsOn'>;
  readonly factors: readonly Factor[];
  readonly treatments: readonly Treatment[];
  readonly measures: readonly Measure[];
}

const LONGEST_DAYS = 1100;

/**
 * Reads a question as it came from the form. The main measure is the chosen one; what else the same picks give comes
 * along, marked as not the main one.
 *
 * @param newId makes UUIDv7s
 */
export function readQuestion(input: unknown, system: MeasureSystem, newId: () => string): Result<Question, FieldTroubles> {
  const parsed = QuestionForm.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const form = parsed.data;
  const margin = readMargin(form, system);
  const troubles: FieldTroubles = { ...doubleNames(form), ...misfits(form), ...(margin.ok ? {} : { margin: margin.trouble }) };
  if (Object.keys(troubles).length > 0 || !margin.ok) return failure(troubles);

  const treatments = form.treatments.map(({ name }, position): Treatment => ({
    id: TreatmentId.parse(newId()), name, letter: String.fromCharCode(65 + position), position,
    role: position === form.control ? 'control' : 'test', levels: { treatment: name },
  }));
  return success({
    facts: { question: form.question, crop: form.crop, unitWord: form.unitWord, startsOn: form.startsOn, endsOn: form.endsOn },
    factors: [{ name: 'treatment', levels: treatments.map(treatment => treatment.name), dealtAt: form.unitWord }],
    treatments,
    measures: HARVEST_MEASURES.map((kind): Measure => {
      const isMain = kind.summary === form.summary;
      return {
        id: MeasureId.parse(newId()), name: kind.name, definition: kind.definition, response: kind.responseOf(form.picked), unit: kind.unit,
        summary: kind.summary, better: isMain ? form.better : 'higher', margin: isMain || margin.value?.kind === 'percent' ? margin.value : null, isMain,
      };
    }),
  });
}

function doubleNames(form: QuestionForm): FieldTroubles {
  const seen = new Set<string>();
  const troubles: Record<string, string> = {};
  form.treatments.forEach(({ name }, i) => {
    const key = name.toLocaleLowerCase();
    if (seen.has(key)) troubles[`treatments.${i}.name`] = `There is a “${name}” already. Two treatments need two names.`;
    seen.add(key);
  });
  return troubles;
}

function misfits(form: QuestionForm): FieldTroubles {
  const days = daysBetween(form.startsOn, form.endsOn);
  return {
    ...(form.control >= form.treatments.length ? { control: 'Mark one of the treatments as the control.' } : {}),
    ...(days < 1 ? { endsOn: 'The end must lie after the start.' } : {}),
    ...(days > LONGEST_DAYS ? { endsOn: 'That is more than three years. A trial is one question in one season.' } : {}),
  };
}

function readMargin(form: QuestionForm, system: MeasureSystem): Result<Measure['margin'], string> {
  switch (form.marginKind) {
    case 'any': return success(null);
    case 'percent': {
      const percent = plainNumber(form.margin.replace(/\s*%$/, ''));
      if (percent === undefined || percent <= 0) return failure('Write a percentage above zero, such as 15.');
      return percent > 1000 ? failure('More than 1000% is no margin a pot can show.') : success({ kind: 'percent', percent });
    }
    case 'amount': return readAmount(form, system);
  }
}

function readAmount(form: QuestionForm, system: MeasureSystem): Result<Measure['margin'], string> {
  if (form.summary === 'sound-count') {
    const amount = plainNumber(form.margin);
    return amount !== undefined && amount > 0 ? success({ kind: 'absolute', amount }) : failure('Write a number of pieces above zero.');
  }
  const read = parseQuantity(form.margin, { system, dimension: 'mass' });
  if (!read.ok) return failure(quantitySentence(read.trouble));
  return read.value.base > 0 ? success({ kind: 'absolute', amount: read.value.base }) : failure('Write an amount above zero, such as 50 g.');
}

function plainNumber(written: string): number | undefined {
  const trimmed = written.trim().replace(',', '.');
  return /^\d+(\.\d+)?$/.test(trimmed) ? Number(trimmed) : undefined;
}
