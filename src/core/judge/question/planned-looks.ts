import { shortDay } from '@/core/time/days';
import { addDays, type CalendarDay, daysBetween } from '@/core/time/garden-day';
import type { Trial } from '@/core/trial/model/trial';
import { listed } from '@/core/words/listed';

/** How often an answer may be looked at, the last time at the end. */
export const MOST_LOOKS = 5;

/**
 * What each of so many looks may go wrong by, so that all of them together do in 5 of 100: equal at every look (Pocock 1977, Biometrika
 * 64, 191-199, Table 1), used on the scale of p as he proposes for spreads that are only estimated. Yields that grow on the same
 * plants hang together more than his, which makes it surer still.
 */
const NOMINAL = [0.05, 0.0294, 0.0221, 0.0182, 0.0158] as const;

/** How much larger a gap must be than with one look to be told as surely, in %: the ratio of the normal quantiles. */
const LARGER = [0, 11, 17, 20, 23] as const;

/** The confidence of every interval, so that those of all agreed looks hold together in 95 of 100. */
export function confidenceAtEach(looks: number): number {
  return 1 - (NOMINAL[looks - 1] ?? NOMINAL[4]);
}

/** What so many looks cost: how much larger a gap must be to be told as surely, in %. */
export function costOfLooks(looks: number): number {
  return LARGER[looks - 1] ?? LARGER[4];
}

/** The days of the looks, evenly over the trial; the last is its last day. None of days that can't be read, as one types them. */
export function lookDays(
  startsOn: CalendarDay,
  endsOn: CalendarDay,
  looks: number,
): readonly CalendarDay[] {
  const days = daysBetween(startsOn, endsOn);
  if (!(days > 0)) return [];
  return Array.from({ length: looks }, (_, i) =>
    addDays(startsOn, Math.round((days * (i + 1)) / looks)),
  );
}

/** What was agreed of looks, and its price; null where it was one, at the end. */
export function agreedLooksWords({
  rules: { looks },
  startsOn,
  endsOn,
}: Pick<Trial, 'rules' | 'startsOn' | 'endsOn'>): string | null {
  if (looks === 1) return null;
  const days = listed(lookDays(startsOn, endsOn, looks).map(shortDay));
  return `${looks} looks were agreed, on ${days}: all their ranges hold together, for which a gap had to be ${costOfLooks(looks)}% larger.`;
}
