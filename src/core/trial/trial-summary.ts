import type { Trial } from './model/trial';

/** A trial as lists show it: no more of it, since a page may list hundreds. */
export interface TrialSummary {
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
  /** The last day it was picked or read, and how many units were; null before the first. */
  readonly lastDay: { readonly day: string; readonly units: number } | null;
  /** Of a closed trial: its frozen sentence. */
  readonly headline: string | null;
  /** Of a closed trial: something that it asked could not be told. */
  readonly isUnsettled: boolean;
  /** Nothing of it is due or listed among the others. */
  readonly isPutAway: boolean;
  /** Whether what it asks about is picked and weighed; otherwise it is read off the plants. */
  readonly isWeighed: boolean;
}
