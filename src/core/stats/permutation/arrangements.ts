import type { SeededRandom } from '@/core/stats/distributions/seeded-random';

/** How many different deals the layout could have made; may be Infinity. */
export function countArrangements(problem: {
  readonly stratum: readonly number[];
  readonly treatment: readonly number[];
}): number {
  let product = 1;
  for (const units of byStratum(problem.stratum)) {
    const counts = new Map<number, number>();
    let placed = 0;
    for (const unit of units) {
      const count = (counts.get(problem.treatment[unit]!) ?? 0) + 1;
      counts.set(problem.treatment[unit]!, count);
      placed += 1;
      product = (product * placed) / count; // a multinomial built up one unit at a time
    }
  }
  return Math.round(product);
}

/** The units of each stratum: the groups within which the layout dealt. */
export function byStratum(stratum: readonly number[]): readonly (readonly number[])[] {
  const groups = new Map<number, number[]>();
  stratum.forEach((group, unit) => {
    const units = groups.get(group);
    if (units) units.push(unit);
    else groups.set(group, [unit]);
  });
  return [...groups.values()];
}

// One draw of 32 bits serves several cards, as long as 22 bits are left for the next: off by less than n / 2²², which no
// count of shuffles can show.
const SPENT_AT_MOST = 2 ** 10;

/** Fisher & Yates (1938) within each stratum, sparing with random numbers: they are most of the cost of a deal. */
export function randomDeals(
  labels: Int32Array,
  order: readonly (readonly number[])[],
  random: SeededRandom,
): () => void {
  let rest = 0;
  let spent = SPENT_AT_MOST;
  return () => {
    for (const units of order) {
      for (let last = units.length - 1; last > 0; last--) {
        spent *= last + 1;
        if (spent > SPENT_AT_MOST) {
          rest = random.share();
          spent = last + 1;
        }
        const scaled = rest * (last + 1);
        const chosen = Math.floor(scaled);
        rest = scaled - chosen;
        const a = units[last]!;
        const b = units[chosen]!;
        const kept = labels[a]!;
        labels[a] = labels[b]!;
        labels[b] = kept;
      }
    }
  };
}

/** Steps through all arrangements like an odometer: each stratum a wheel of permutations in lexical order. */
export function everyArrangement(
  labels: Int32Array,
  order: readonly (readonly number[])[],
): () => void {
  for (const units of order) sortLabels(labels, units);
  let isFirst = true;
  return () => {
    if (isFirst) {
      isFirst = false;
      return;
    }
    for (const units of order) {
      if (nextPermutation(labels, units)) return;
      sortLabels(labels, units);
    }
  };
}

function sortLabels(labels: Int32Array, units: readonly number[]): void {
  const sorted = units.map(unit => labels[unit]!).sort((a, b) => a - b);
  units.forEach((unit, i) => {
    labels[unit] = sorted[i]!;
  });
}

/** The next arrangement in lexical order (Knuth 2011, TAOCP 4A, §7.2.1.2, algorithm L); false after the last. */
function nextPermutation(labels: Int32Array, units: readonly number[]): boolean {
  let rise = units.length - 2;
  while (rise >= 0 && labels[units[rise]!]! >= labels[units[rise + 1]!]!) rise--;
  if (rise < 0) return false;
  let larger = units.length - 1;
  while (labels[units[larger]!]! <= labels[units[rise]!]!) larger--;
  swap(labels, units[rise]!, units[larger]!);
  for (let left = rise + 1, right = units.length - 1; left < right; left++, right--)
    swap(labels, units[left]!, units[right]!);
  return true;
}

function swap(labels: Int32Array, a: number, b: number): void {
  const kept = labels[a]!;
  labels[a] = labels[b]!;
  labels[b] = kept;
}
