import type { TrialData } from '@/core/trial/model/trial-data';

/** Closed on its last day, its key opened just before. */
export function closed(data: TrialData): TrialData {
  const { trial } = data;
  return {
    ...data,
    trial: {
      ...trial,
      state: 'closed',
      closedAt: `${trial.endsOn}T18:00:00.000Z`,
      keyOpenedAt: trial.isBlind ? `${trial.endsOn}T17:50:00.000Z` : null,
    },
  };
}
