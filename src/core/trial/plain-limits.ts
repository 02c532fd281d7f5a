/** What may be in a file of a garden: anything beyond is a slip, or meant to do harm. */
const DEEPEST = 24;
const LARGEST_NUMBER = 1e12;
const YEARS = { from: 1990, to: 2100 };
const DAY = /^(\d{4})-\d{2}-\d{2}(?:T|$)/;

/**
 * Looks through a plain value, however it is nested, before anything else does. Without recursion: what is nested a hundred thousand
 * deep breaks whoever goes down step by step.
 *
 * @returns what is wrong with it, as the end of a sentence; undefined where nothing is
 */
export function beyondLimits(value: unknown): string | undefined {
  const open: { readonly value: unknown; readonly depth: number }[] = [{ value, depth: 0 }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value: found, depth } = next;
    if (depth > DEEPEST) return `it is nested more than ${DEEPEST} deep`;
    if (typeof found === 'number' && !(Math.abs(found) <= LARGEST_NUMBER))
      return `${found} is larger than any number of a garden (at most ${LARGEST_NUMBER})`;
    if (typeof found === 'string') {
      const year = Number(DAY.exec(found)?.[1] ?? YEARS.from);
      if (year < YEARS.from || year > YEARS.to)
        return `${found.slice(0, 10)} lies outside of ${YEARS.from} to ${YEARS.to}`;
    }
    if (typeof found === 'object' && found !== null)
      for (const each of Object.values(found)) open.push({ value: each, depth: depth + 1 });
  }
  return undefined;
}
