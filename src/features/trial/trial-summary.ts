import type { Trial } from '@/core/trial/trial-data';

/** A trial as lists show it. */
export interface TrialSummaryView {
  readonly trial: Trial;
  readonly units: number;
  readonly unitsRead: number;
  readonly lastDay: { readonly day: string; readonly units: number } | null;
  readonly headline: string | null;
}
