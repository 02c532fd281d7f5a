import type { Trial } from '@/core/trial/model/trial';

/** A trial as lists show it: no more of it, since a page may list hundreds. */
export interface TrialSummaryView {
  readonly trial: Pick<
    Trial,
    | 'id'
    | 'question'
    | 'crop'
    | 'unitWord'
    | 'state'
    | 'startsOn'
    | 'endsOn'
    | 'isBlind'
    | 'keyOpenedAt'
  >;
  readonly units: number;
  readonly unitsRead: number;
  readonly lastDay: { readonly day: string; readonly units: number } | null;
  readonly headline: string | null;
}
