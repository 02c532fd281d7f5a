import { z } from 'zod';

/** How something acts on what it is meant for, and hence when it can be judged. */
export const ModeOfAction = z.enum([
  'contact-spray',
  'contact-weedkiller',
  'systemic-weedkiller-annuals',
  'systemic-weedkiller-perennials',
  'vinegar',
  'bait',
  'soluble-feed',
  'slow-release',
  'meal',
  'char-or-rock-dust',
  'compost',
  'mulch',
]);
export type ModeOfAction = z.infer<typeof ModeOfAction>;

export const ACTS_WORDS: Readonly<Record<ModeOfAction, string>> = {
  'contact-spray': 'on the pest, on contact',
  'contact-weedkiller': 'on leaves it touches',
  'systemic-weedkiller-annuals': 'through annual weeds',
  'systemic-weedkiller-perennials': 'through perennial weeds',
  vinegar: 'burns leaves, as vinegar',
  bait: 'as a bait',
  'soluble-feed': 'feeds at once',
  'slow-release': 'feeds slowly',
  meal: 'feeds as it rots',
  'char-or-rock-dust': 'over years, as char or rock dust',
  compost: 'as compost',
  mulch: 'as a mulch',
};

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
