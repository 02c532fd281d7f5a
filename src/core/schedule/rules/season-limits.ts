import { addDays, type CalendarDay, daysBetween } from '@/core/time/garden-day';

/** A garden's usual frosts, as month and day: `05-14`. null where nobody knows. */
export interface FrostDays {
  readonly lastFrost: string | null;
  readonly firstFrost: string | null;
}

/** What a garden's frosts say to a season. */
export interface SeasonLimits {
  /** The first frost after the start, where it falls within the season: by then cover, lift or pick. */
  readonly frostOn: CalendarDay | null;
  /** The last day to sow so that the season is over before that frost; null where no frost is known. */
  readonly lastSowing: CalendarDay | null;
  /** From this day on a quick feed does nothing before the end any more. */
  readonly lastFeed: CalendarDay;
  /** Sentences in the order of the season. */
  readonly says: readonly string[];
}

const FEED_SHOWS_DAYS = 14; // what is fed in the last fortnight is not picked any more: common practice, no source

/** Whether a season fits between the garden's frosts, and by when what has to be done. */
export function seasonLimits(
  { startsOn, endsOn }: { readonly startsOn: CalendarDay; readonly endsOn: CalendarDay },
  { lastFrost, firstFrost }: FrostDays,
): SeasonLimits {
  const days = daysBetween(startsOn, endsOn);
  const next = firstFrost === null ? null : nextOf(firstFrost, startsOn);
  const frostOn = next !== null && next <= endsOn ? next : null;
  const lastSowing = next === null ? null : addDays(next, -days);
  const thaw = lastFrost === null ? null : nextOf(lastFrost, startsOn);
  // A last frost that lies ahead by less than half a year is this spring's.
  const isBeforeThaw =
    thaw !== null && daysBetween(startsOn, thaw) > 0 && daysBetween(startsOn, thaw) < 183;
  return {
    frostOn,
    lastSowing,
    lastFeed: addDays(endsOn, -FEED_SHOWS_DAYS),
    says: [
      ...(isBeforeThaw
        ? [
            `It starts ${daysBetween(startsOn, thaw)} days before the last frost is usually over, ${thaw}: cover all alike, or start later.`,
          ]
        : []),
      ...(frostOn
        ? [
            `The first frost is usual by ${frostOn}, ${daysBetween(frostOn, endsOn)} days before the end: lift, cover or pick by then, all on one day. To be over before it, start by ${lastSowing}.`,
          ]
        : []),
    ],
  };
}

/** The next time a month and day come, on the day itself or after it. A 29 February that is not there is the 28th. */
function nextOf(monthDay: string, from: CalendarDay): CalendarDay {
  const year = Number(from.slice(0, 4));
  const [month = 1, day = 1] = monthDay.split('-').map(Number);
  const inYear = (of: number): CalendarDay => {
    const last = new Date(Date.UTC(of, month, 0)).getUTCDate();
    return `${of}-${monthDay.slice(0, 2)}-${String(Math.min(day, last)).padStart(2, '0')}`;
  };
  return inYear(year) >= from ? inYear(year) : inYear(year + 1);
}
