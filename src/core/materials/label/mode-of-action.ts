import type { ModeOfAction } from '@/core/trial/model/mode-of-action';

/** Days after the (last) application from which it is fair to judge; a second look where what died may come back. */
export interface JudgingDays {
  readonly first: number;
  readonly again: number | null;
  /** Counted from the first time it is given, where times add up, or from the last. */
  readonly since: 'first' | 'last';
}

// Common practice, no source, but vinegar's and the systemic weedkiller's: they stand in many growers' guides.
const JUDGED_AFTER: Readonly<Record<ModeOfAction, JudgingDays>> = {
  'contact-spray': { first: 2, again: null, since: 'last' },
  'contact-weedkiller': { first: 7, again: 28, since: 'last' },
  vinegar: { first: 28, again: 60, since: 'last' },
  'systemic-weedkiller-annuals': { first: 7, again: 28, since: 'last' },
  'systemic-weedkiller-perennials': { first: 14, again: 60, since: 'last' },
  bait: { first: 7, again: null, since: 'first' },
  'soluble-feed': { first: 42, again: null, since: 'first' },
  'slow-release': { first: 70, again: null, since: 'first' },
  meal: { first: 70, again: null, since: 'first' },
  'char-or-rock-dust': { first: 180, again: 730, since: 'first' },
  compost: { first: 90, again: 365, since: 'first' },
  mulch: { first: 42, again: null, since: 'first' },
};

export function judgedAfter(mode: ModeOfAction): JudgingDays {
  return JUDGED_AFTER[mode];
}

/** What is wrong with a trial's window; undefined where it is long enough. @param days from when it counts to the trial's end */
export function windowTrouble(mode: ModeOfAction, days: number): string | undefined {
  const { first, again } = judgedAfter(mode);
  if (days < first) return `${days} days are too few: what it does shows after about ${first}.`;
  return again !== null && days < again
    ? `Look again on day ${again}: it is not over before.`
    : undefined;
}
