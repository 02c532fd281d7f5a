import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialSummary } from '@/core/trial/trial-summary';
import { currentGarden } from '@/service/garden/garden';
import { type Change, changesOf } from '@/store/changes';
import { database } from '@/store/connection/database';
import { putAwayIds } from '@/store/put-away';
import { lastDays, readCounts, readTrials, unitCounts } from '@/store/trial-counts';
import { brokenTrials, findTrialData, questionOf, trialsOf } from '@/store/trials';
import { frozenAnswers } from '@/store/verdicts';

/** Every trial of the garden, the latest begun first; those put away are marked. */
export async function listTrials(): Promise<readonly TrialSummary[]> {
  const garden = await currentGarden();
  const db = database();
  const [trials, units, read, days, answers] = [
    await trialsOf(db, garden.id),
    await unitCounts(db),
    await readCounts(db),
    await lastDays(db),
    await frozenAnswers(db),
  ];
  const [away, readAlone] = [await putAwayIds(db), await readTrials(db)];
  return trials.map(
    ({ id, question, crop, unitWord, state, startsOn, endsOn, isBlind, keyOpenedAt }) => ({
      trial: { id, question, crop, unitWord, state, startsOn, endsOn, isBlind, keyOpenedAt },
      units: units.get(id) ?? 0,
      unitsRead: read.get(id) ?? 0,
      lastDay: days.get(id) ?? null,
      headline: answers.get(id)?.headline ?? null,
      isUnsettled: answers.get(id)?.calls.some(isUnsettled) ?? false,
      isPutAway: away.has(id),
      isWeighed: !readAlone.has(id),
    }),
  );
}

/** Trials that can't be read: they were left as they are, and the rest of the garden goes on. */
export async function listBroken(): Promise<
  readonly Pick<TrialData['trial'], 'id' | 'question'>[]
> {
  return brokenTrials(database(), (await currentGarden()).id);
}

export function findTrial(trialId: string): Promise<TrialData | undefined> {
  return findTrialData(database(), trialId);
}

export function questionOfTrial(trialId: string): Promise<string | undefined> {
  return questionOf(database(), trialId);
}

/** A trial as far as a verdict asks: of its readings those of one measure and of the main one. */
export function findTrialFor(
  trialId: string,
  measureId: string | undefined,
): Promise<TrialData | undefined> {
  return findTrialData(database(), trialId, measureId === undefined ? [] : [measureId]);
}

/** A trial's log, newest first. */
export function trialLog(trialId: string): Promise<readonly Change[]> {
  return changesOf(database(), trialId);
}

/** What a verdict leaves open: it can’t tell, or had nothing to tell by. */
function isUnsettled(call: string): boolean {
  return call === 'cant-tell' || call === 'no-test';
}
