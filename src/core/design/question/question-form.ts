import { harvestMeasures } from '@/core/measure/library/harvest-measures';
import { OWN_KEY, ownKind } from '@/core/measure/library/own-fields';
import { componentsOf, measureFromLibrary, readMeasure } from '@/core/measure/library/own-measure';
import type { ReadingKind } from '@/core/measure/library/reading-kind';
import { READING_KINDS } from '@/core/measure/library/reading-library';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { failure, type Result, success } from '@/core/result';
import { daysBetween } from '@/core/time/garden-day';
import { type FieldTroubles, fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { readTreatments } from '@/core/trial/forms/treatment-form';
import { LONGEST_DAYS } from '@/core/trial/model/limits';
import type { Measure } from '@/core/trial/model/measure';
import type { Factor, Treatment } from '@/core/trial/model/treatment';
import type { Trial } from '@/core/trial/model/trial';
import { readMargin, readMoney } from './margin-form';
import { QuestionForm } from './question-shape';

/** A question that makes sense, as the trial holds it. */
export interface Question {
  readonly facts: Pick<
    Trial,
    | 'question'
    | 'crop'
    | 'unitWord'
    | 'startsOn'
    | 'endsOn'
    | 'pattern'
    | 'interest'
    | 'rules'
    | 'money'
  >;
  readonly factors: readonly Factor[];
  readonly treatments: readonly Treatment[];
  readonly measures: readonly Measure[];
}

/**
 * Reads a question as it came from the form. The main measure is the chosen one; what else the same picks give comes
 * along, marked as not the main one.
 *
 * @param newId makes UUIDv7s
 */
export function readQuestion(
  input: unknown,
  system: MeasureSystem,
  newId: () => string,
): Result<Question, FieldTroubles> {
  const parsed = QuestionForm.safeParse(input);
  if (!parsed.success) return failure(fieldTroublesOf(parsed.error));
  const form = parsed.data;
  const read = askedReading(form);
  const margin = readMargin(form, read, system);
  const compared = readTreatments(form, form.unitWord, newId);
  const money = readMoney(form, system);
  const troubles: FieldTroubles = {
    ...(compared.ok ? askedTrouble(form.rules, compared.value.treatments) : compared.trouble),
    ...misfits(form),
    ...(form.summary === 'read' && !read ? readingTroubles(form) : {}),
    ...(margin.ok ? {} : { margin: margin.trouble }),
    ...(money.ok ? {} : money.trouble),
  };
  if (Object.keys(troubles).length > 0 || !margin.ok || !compared.ok || !money.ok)
    return failure(troubles);
  return success({
    facts: {
      question: form.question,
      crop: form.crop,
      unitWord: form.unitWord,
      startsOn: form.startsOn,
      endsOn: form.endsOn,
      pattern: form.pattern === '' ? null : form.pattern,
      interest: form.interest,
      rules: { ...form.rules, act: form.act },
      money: money.value,
    },
    ...compared.value,
    measures: measuresOf(form, read, margin.value, newId),
  });
}

/** What is read, where that is the main measure, and all that the picks give. */
function measuresOf(
  { summary, better, picked, own }: QuestionForm,
  read: ReadingKind | undefined,
  margin: Measure['margin'],
  newId: () => string,
): readonly Measure[] {
  const taken =
    read?.key === OWN_KEY
      ? readMeasure({ ...own, from: 'own' }, [], newId())
      : read && success(measureFromLibrary(read, newId()));
  const main = taken?.ok ? { ...taken.value, better, margin, isMain: true } : undefined;
  const harvests = harvestMeasures({ picked, main: summary, better, margin }, newId);
  return main ? [main, ...componentsOf(main.scale, [], newId), ...harvests] : harvests;
}

/** What is held against each other must be the trial’s, and each stand on one side only. */
function askedTrouble(
  { askedOne, askedOther, askedOneWith, askedOtherWith }: QuestionForm['rules'],
  treatments: readonly Treatment[],
): FieldTroubles {
  if (askedOne === '' && askedOther === '') return {};
  const named = [askedOne, ...askedOneWith, askedOther, ...askedOtherWith];
  const isOfTrial = named.every(name => treatments.some(treatment => treatment.name === name));
  return isOfTrial && new Set(named).size === named.length
    ? {}
    : {
        'rules.askedOne':
          'Choose treatments of this trial, each on one side only, or leave both sides open.',
      };
}

function misfits(form: QuestionForm): FieldTroubles {
  const days = daysBetween(form.startsOn, form.endsOn);
  return {
    ...(form.rules.end === 'stage' && form.rules.endStage === ''
      ? { 'rules.endStage': 'Name the stage: last truss ripe, half the plants yellow.' }
      : {}),
    ...(days < 1 ? { endsOn: 'The end must lie after the start.' } : {}),
    ...(days > LONGEST_DAYS
      ? { endsOn: 'That is more than three years. A trial is one question in one season.' }
      : {}),
  };
}

/** What of the library can answer a question: all but classes and ranks, which have no more and no less to be worth having. */
export function mainReadings(): readonly ReadingKind[] {
  return READING_KINDS.filter(kind => isAnswer(kind.scale));
}

function isAnswer({ kind }: ReadingKind['scale']): boolean {
  return kind !== 'class' && kind !== 'rank';
}

/** What a question's main measure reads, of the library or the gardener's own; undefined where nothing is read, or chosen yet. */
export function askedReading({ summary, mainKey, own }: QuestionForm): ReadingKind | undefined {
  if (summary !== 'read') return undefined;
  if (mainKey !== OWN_KEY) return mainReadings().find(kind => kind.key === mainKey);
  const kind = ownKind(own);
  return kind && isAnswer(kind.scale) ? kind : undefined;
}

/** Why nothing can be read, by field. */
function readingTroubles({ mainKey, own }: QuestionForm): FieldTroubles {
  if (mainKey !== OWN_KEY) return { mainKey: 'Choose what is read.' };
  const read = readMeasure({ ...own, from: 'own' }, [], ANY_ID);
  if (read.ok)
    return {
      'own.scale': 'Kinds and ranks can’t be the main measure: no more of them is worth having.',
    };
  return Object.fromEntries(
    Object.entries(read.trouble).map(([field, says]) => [`own.${field}`, says]),
  );
}

// Only what is wrong with it is wanted.
const ANY_ID = '00000000-0000-7000-8000-000000000000';
