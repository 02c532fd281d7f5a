/** How something acts on what it is meant for, and hence when it can be judged. */
export type ModeOfAction = 'contact-spray' | 'contact-weedkiller' | 'systemic-weedkiller-annuals' | 'systemic-weedkiller-perennials' | 'vinegar' | 'bait' | 'soluble-feed' | 'slow-release' | 'meal' | 'char-or-rock-dust' | 'compost' | 'mulch';

/** Days after the (last) application from which it is fair to judge; a second look where what died may come back. */
export interface JudgingDays {
  readonly first: number;
  readonly again: number | null;
}

// Common practice, no source, but vinegar's and the systemic weedkiller's: they stand in many growers' guides.
const JUDGED_AFTER: Readonly<Record<ModeOfAction, JudgingDays>> = {
  'contact-spray': { first: 2, again: null }, 'contact-weedkiller': { first: 7, again: 28 }, vinegar: { first: 28, again: 60 },
  'systemic-weedkiller-annuals': { first: 7, again: 28 }, 'systemic-weedkiller-perennials': { first: 14, again: 60 }, bait: { first: 7, again: null },
  'soluble-feed': { first: 42, again: null }, 'slow-release': { first: 70, again: null }, meal: { first: 70, again: null }, 'char-or-rock-dust': { first: 180, again: 730 }, compost: { first: 90, again: 365 }, mulch: { first: 42, again: null },
};

export function judgedAfter(mode: ModeOfAction): JudgingDays {
  return JUDGED_AFTER[mode];
}

/** What is wrong with a trial's window; undefined where it is long enough. */
export function windowTrouble(mode: ModeOfAction, daysAfterLast: number): string | undefined {
  const { first, again } = judgedAfter(mode);
  if (daysAfterLast < first) return `${daysAfterLast} days are too few: what it does shows after about ${first}.`;
  return again !== null && daysAfterLast < again ? `Look again on day ${again}: what died may come back.` : undefined;
}
