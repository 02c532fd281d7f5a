import { z } from 'zod';
import { measureFromLibrary } from '@/core/measure/library/own-measure';
import { readingKind } from '@/core/measure/library/reading-library';
import { minutesIn } from '@/core/measure/reading/spoken-number';
import { type Result, success } from '@/core/result';
import { CalendarDay } from '@/core/time/garden-day';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { BLANK_READING } from '@/core/trial/model/blank-facts';
import { ReadingId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { instantNow, today } from '@/service/garden/clock';
import { derivedId } from '@/service/garden/derived-id';
import { newId } from '@/service/garden/new-id';
import { changeOneTrial, entryTrouble, invalid, refused } from '@/service/trial/change-trial';
import type { Database } from '@/store/connection/database';
import { addMeasure } from '@/store/measures';
import { addReadings, findReading } from '@/store/readings';

const MOST_MINUTES = 1440;

const WorkForm = z.object({
  /** Of the press: the same sent twice is one piece of work. */
  id: z.uuidv7(),
  minutes: z.string().trim().min(1, 'How long? 25 min, 1 h 10 min.').max(40, 'That is too long.'),
  people: z.coerce
    .number('How many people? A whole number.')
    .int('How many people? A whole number.')
    .min(1, 'At least one.')
    .max(50, 'At most 50.')
    .default(1),
  codes: z.array(z.string().max(8)).min(1, 'Tick where the work was.').max(500),
  on: CalendarDay.refine(day => day <= today(), 'That day is still to come.'),
  what: z.string().trim().max(200, 'At most 200 characters.').default(''),
  by: z.string().trim().max(80, 'At most 80 characters.').default(''),
});

/** Work that was put down: person-minutes in all, and by each unit. */
export interface LoggedWork {
  readonly minutes: number;
  readonly each: number;
}

/** Puts work down: minutes times people, shared out evenly to the units it was for. It stands with the readings of “Work”, and is undone there. */
export function logWork(
  trialId: string,
  input: unknown,
): Promise<Result<LoggedWork, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'work';
    const trouble = entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    const parsed = WorkForm.safeParse(input);
    if (!parsed.success) return invalid(what, fieldTroublesOf(parsed.error));
    const form = parsed.data;
    const spent = minutesIn(form.minutes);
    if (spent === undefined || spent <= 0 || spent > MOST_MINUTES)
      return invalid(what, {
        minutes: `“${form.minutes}” is not a time of up to a day: write 25 min or 1 h 10 min.`,
      });
    const units = data.units.filter(unit => form.codes.includes(unit.code));
    if (units.length !== new Set(form.codes).size)
      return invalid(what, { codes: 'Choose among the codes of this trial.' });
    const minutes = spent * form.people;
    const each = minutes / units.length;
    const said = { minutes, each };
    if (await findReading(db, trialId, derivedId(form.id, 1)))
      return { what: 'work sent again', result: success(said) };
    const measure = await workMeasure(db, data);
    const at = instantNow();
    await addReadings(
      db,
      trialId,
      units.map((unit, i) => ({
        ...BLANK_READING,
        id: ReadingId.parse(derivedId(form.id, i + 1)),
        unitId: unit.id,
        measureId: measure.id,
        // Several pieces of work on one day stand beside each other, and are added up.
        subsample: `${at.slice(11, 19)} ${form.id.slice(-4)}`,
        takenOn: form.on,
        takenAt: at,
        value: each,
        outcome: 'picked' as const,
        note: [form.what, form.people > 1 ? `${form.people} people` : '']
          .filter(Boolean)
          .join(', '),
        by: form.by,
        supersedes: null,
        isRemoval: false,
      })),
    );
    return {
      what,
      detail: { minutes, units: units.length },
      result: success(said),
    };
  });
}

/** Takes a piece of work out again; it stays in the history. */
export function undoWork(trialId: string, workId: string): Promise<Result<true, TrialTrouble>> {
  return changeOneTrial(trialId, async (db, data) => {
    const what = 'work undone';
    const trouble = entryTrouble(data.trial);
    if (trouble) return refused(what, trouble);
    const own = new Set(data.units.map((_, i) => derivedId(workId, i + 1)));
    const current = data.readings.filter(reading => own.has(reading.id));
    if (current.length === 0) return refused(what, { kind: 'changed-meanwhile' });
    const takenAt = instantNow();
    await addReadings(
      db,
      trialId,
      current.map(reading => ({
        ...reading,
        id: ReadingId.parse(newId()),
        supersedes: reading.id,
        isRemoval: true,
        takenAt,
      })),
    );
    return { what, detail: { units: current.length }, result: success(true as const) };
  });
}

/** What work is kept under; begun with the first piece of it. */
async function workMeasure(db: Database, data: TrialData): Promise<Measure> {
  const standing = data.measures.find(measure => measure.kindKey === 'labour');
  if (standing) return standing;
  const kind = readingKind('labour');
  if (!kind) throw new RangeError('the library must know work');
  const measure = measureFromLibrary(kind, newId());
  await addMeasure(db, data.trial.id, measure);
  return measure;
}
