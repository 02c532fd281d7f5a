import type { Question } from '@/core/design/question/question-form';
import { layOutBench } from '@/core/design/site/bench-plan';
import { BLANK_TRIAL, NOTHING_DEALT, NOTHING_ENTERED } from '@/core/trial/model/blank-facts';
import { GardenId, TrialId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { BenchRequest } from './bench-form';

/** A trial without anything that says which unit got what, or what somebody sealed. */
export function undealtTrial(data: TrialData): TrialData {
  const predictions = data.predictions.map(prediction => ({
    ...prediction,
    by: 'sealed',
    expects: null,
    why: 'sealed',
  }));
  return {
    ...data,
    ...NOTHING_DEALT,
    ...NOTHING_ENTERED,
    layout: data.layout && { ...data.layout, seed: 1 },
    predictions,
    amendments: data.amendments,
    regrets: data.regrets,
  };
}

/** A trial as it would be if it were dealt like this now. */
export function draftDeal(data: TrialData, request: BenchRequest): TrialData {
  const bench = layOutBench(
    {
      ...request,
      treatments: data.treatments,
      unitWord: data.trial.unitWord,
      seed: data.layout?.seed ?? 1,
      deals: data.layout?.deals ?? 1,
    },
    countedIds(),
  );
  const { site = [], hasGuards = false } = data.layout ?? {};
  return {
    ...data,
    ...bench,
    trial: { ...data.trial, isBlind: request.isBlind },
    layout: { ...bench.layout, site, hasGuards },
  };
}

/** A question as the trial it would begin, not laid out. */
export function draftTrial({ facts, factors, treatments, measures }: Question): TrialData {
  const newId = countedIds();
  return {
    format: 'turnspit-trial',
    version: 1,
    factors,
    treatments,
    measures,
    trial: {
      id: TrialId.parse(newId()),
      gardenId: GardenId.parse(newId()),
      ...BLANK_TRIAL,
      ...facts,
      state: 'planned',
      isBlind: true,
      lockedAt: null,
      closedAt: null,
      keyOpenedAt: null,
    },
    ...NOTHING_DEALT,
    ...NOTHING_ENTERED,
  };
}

/** Ids for what is never stored: in the form of a UUIDv7, counted up. */
function countedIds(): () => string {
  let count = 0;
  return () => `00000000-0000-7000-8000-${(count++).toString(16).padStart(12, '0')}`;
}
