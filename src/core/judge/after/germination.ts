/** What came up by a day, since the look before. */
export interface NewlyUp {
  readonly days: number;
  readonly count: number;
}

/** How many came up, and how fast. Days are from sowing. */
export interface Germination {
  readonly percent: number;
  /** The day on which half of those that came up at all had come; null where none did. */
  readonly t50Days: number | null;
  readonly meanDays: number | null;
}

/**
 * Percent, half time and mean time of what came up.
 * T50 by Coolbear, Francis & Grierson (1984), Journal of Experimental Botany 35, 1609-1617, as amended by Farooq, Basra, Ahmad &
 * Hafeez (2005), Journal of Integrative Plant Biology 47, 187-193: between the looks around N/2; mean time by Ellis & Roberts
 * (1981), Seed Science and Technology 9, 373-409.
 *
 * @param looks in the order of their days; counts of what is new
 * @param sown ≥ the sum of all counts
 */
export function germination(looks: readonly NewlyUp[], sown: number): Germination {
  const all = looks.reduce((sum, look) => sum + look.count, 0);
  if (all === 0) return { percent: 0, t50Days: null, meanDays: null };
  return {
    percent: (100 * all) / sown,
    t50Days: halfTime(looks, all),
    meanDays: looks.reduce((sum, look) => sum + look.days * look.count, 0) / all,
  };
}

function halfTime(looks: readonly NewlyUp[], all: number): number {
  let [before, day] = [0, 0];
  for (const { days, count } of looks) {
    if (before + count >= all / 2) return day + ((all / 2 - before) * (days - day)) / count;
    before += count;
    day = days;
  }
  return day;
}
