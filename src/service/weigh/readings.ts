import { z } from 'zod';
import { ReadingForm, readReading } from '@/core/measure/reading/reading-form';
import { failure, type Result, success } from '@/core/result';
import { dayIn } from '@/core/time/time-zone';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import { ReadingId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { Reading } from '@/core/trial/model/reading';
import type { Trial } from '@/core/trial/model/trial';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { gardenTimeZone, instantNow, today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { entryTrouble, whileThereIsRoom } from '@/service/trial/change-trial';
import { logChange } from '@/store/changes';
import { type Database, database } from '@/store/connection/database';
import { measureOf } from '@/store/measures';
import { addReading, findReading, readingAt, readingHistory, unitIdsOf } from '@/store/readings';
import { findTrial } from '@/store/trials';

/** What became of one entry that was sent. */
export interface Taken {
  readonly id: string;
  readonly result: Result<Reading, TrialTrouble>;
}

const MOST_AT_ONCE = 500;
const Entries = z
  .array(z.looseObject({ id: z.string().max(60) }))
  .min(1)
  .max(MOST_AT_ONCE);

/**
 * Takes readings as a walk sends them, in order. Each is answered by itself: one that can't be taken keeps none of the others
 * back. Only what an entry needs is looked up, so that the size of the file does not count.
 */
export async function takeReadings(
  trialId: string,
  input: unknown,
): Promise<Result<readonly Taken[], TrialTrouble>> {
  const entries = Entries.safeParse(input);
  if (!entries.success) return failure({ kind: 'invalid', fields: fieldTroublesOf(entries.error) });
  const { system } = await currentGarden();
  return whileThereIsRoom(async db => {
    const trial = await findTrial(db, trialId);
    if (!trial) return failure({ kind: 'no-such-trial' });
    const [measures, units] = [
      new Map<string, Measure | undefined>(),
      await unitIdsOf(db, trialId),
    ];
    const taken: Taken[] = [];
    for (const entry of entries.data)
      taken.push({
        id: entry.id,
        result: await takeOne({ db, trial, measures, units, system }, entry),
      });
    const count = taken.filter(each => each.result.ok).length;
    if (count > 0)
      await logChange(db, {
        at: instantNow(),
        trialId,
        what: 'readings',
        subjectId: taken.find(each => each.result.ok)?.id ?? null,
        detail: JSON.stringify({ count }),
      });
    return success(taken);
  });
}

interface Taking {
  readonly db: Database;
  readonly trial: Trial;
  /** Those looked up so far, by id. */
  readonly measures: Map<string, Measure | undefined>;
  readonly units: ReadonlySet<string>;
  readonly system: 'uk' | 'us';
}

async function takeOne(
  { db, trial, measures, units, system }: Taking,
  input: unknown,
): Promise<Result<Reading, TrialTrouble>> {
  const trouble = entryTrouble(trial);
  if (trouble) return failure(trouble);
  const removal = Removal.safeParse(input);
  if (removal.success) return takeOut(db, trial.id, removal.data);
  const form = ReadingForm.safeParse(input);
  if (!form.success) return failure({ kind: 'invalid', fields: fieldTroublesOf(form.error) });
  const { measureId, unitId, supersedes, id } = form.data;
  const known = await findReading(db, trial.id, id);
  if (known) return success(known); // sent twice
  if (!units.has(unitId)) return failure({ kind: 'no-such-unit' });
  if (!measures.has(measureId)) measures.set(measureId, await measureOf(db, trial.id, measureId));
  const measure = measures.get(measureId);
  if (!measure) return failure({ kind: 'changed-meanwhile' });
  const read = readReading(input, {
    measure,
    system,
    today: today(),
    startsOn: trial.startsOn,
    now: instantNow(),
    dayAt: instant => dayIn(instant, gardenTimeZone()),
  });
  if (!read.ok) return failure({ kind: 'invalid', fields: read.trouble });
  const current = read.value.isRepeat ? undefined : await readingAt(db, read.value);
  if (current && current.id !== supersedes)
    return failure({ kind: 'already-read', standing: current });
  if (supersedes !== null && (await findReading(db, trial.id, supersedes)) === undefined)
    return failure({ kind: 'changed-meanwhile' });
  return (await addReading(db, trial.id, read.value))
    ? success(read.value)
    : failure({ kind: 'changed-meanwhile' });
}

/** An entry that takes another out again. */
const Removal = z.object({
  id: ReadingId,
  removes: ReadingId,
  by: z.string().trim().max(80).default(''),
});

/** Takes a reading out of the sums by a revision that says so: the entry itself stays in the history. */
async function takeOut(
  db: Database,
  trialId: string,
  { id, removes, by }: z.infer<typeof Removal>,
): Promise<Result<Reading, TrialTrouble>> {
  const current = await findReading(db, trialId, removes);
  if (!current) return failure({ kind: 'changed-meanwhile' });
  const removal: Reading = {
    ...current,
    id,
    supersedes: current.id,
    isRemoval: true,
    takenAt: instantNow(),
    by,
  };
  return (await addReading(db, trialId, removal))
    ? success(removal)
    : failure({ kind: 'changed-meanwhile' });
}

/** Every revision of one unit's readings, newest first. */
export function readingHistoryOf(unitId: string): Promise<readonly Reading[]> {
  return readingHistory(database(), unitId);
}
