import type { Share } from './share-intervals';

/**
 * Interval for the difference a − b of two shares that holds the truth at least as often as it says, whatever the shares are:
 * all differences that an exact test does not reject at half of what is left out, on either side. Tables are ordered by the
 * score; the unknown level of the shares is the least favourable one of a fine grid.
 * Chan & Zhang (1999), Biometrics 55, 1202-1209; the score of Farrington & Manning (1990), Statistics in Medicine 9, 1447-1454.
 */
export function exactShareDifferenceInterval(
  a: Share,
  b: Share,
  confidence = 0.95,
): readonly [number, number] {
  const outside = (1 - confidence) / 2;
  return [lowerEnd(a, b, outside), -lowerEnd(b, a, outside)];
}

const HALVINGS = 24;

/** The smallest difference at which so large a one, or a larger, still comes more often than in `outside` of all trials. */
function lowerEnd(a: Share, b: Share, outside: number): number {
  const seen = a.k / a.n - b.k / b.n;
  if (seen <= -1) return -1;
  let [low, high] = [-1, seen];
  for (let halving = 0; halving < HALVINGS; halving++) {
    const middle = (low + high) / 2;
    if (largestChance(a, b, middle) > outside) high = middle;
    else low = middle;
  }
  return low;
}

const LEVELS = 120;

/** How often a table as far above this difference as the one seen can come, or one farther: at the level where it comes most often. */
function largestChance(a: Share, b: Share, difference: number): number {
  const reached = reachedWith(a, b, difference);
  const [from, to] = [Math.max(0, -difference), Math.min(1, 1 - difference)];
  let largest = 0;
  for (let i = 0; i <= LEVELS; i++) {
    const level = from + ((to - from) * i) / LEVELS;
    const [ofA, ofB] = [chances(a.n, level + difference), chances(b.n, level)];
    let sum = 0;
    let [upTo, k] = [0, 0];
    for (let ka = 0; ka <= a.n; ka++) {
      for (; k <= (reached[ka] ?? -1); k++) upTo += ofB[k] ?? 0;
      sum += (ofA[ka] ?? 0) * upTo;
    }
    largest = Math.max(largest, sum);
  }
  return largest;
}

/** For each k of a: the largest k of b at which the table lies as far above the difference as the one seen; −1 where none does. */
function reachedWith(a: Share, b: Share, difference: number): readonly number[] {
  const seen = score(a, b, difference) - 1e-9;
  const reached: number[] = [];
  let kb = -1;
  for (let ka = 0; ka <= a.n; ka++) {
    while (kb < b.n && score({ k: ka, n: a.n }, { k: kb + 1, n: b.n }, difference) >= seen) kb += 1;
    if (ka >= a.k) kb = Math.max(kb, b.k);
    reached.push(kb);
  }
  return reached;
}

/** How many standard errors the difference of two shares lies above another, the error as it would be were that one true. */
function score(a: Share, b: Share, difference: number): number {
  const gap = a.k / a.n - b.k / b.n - difference;
  const [pa, pb] = likeliestShares(a, b, difference);
  const variance = (pa * (1 - pa)) / a.n + (pb * (1 - pb)) / b.n;
  return variance > 1e-15
    ? gap / Math.sqrt(variance)
    : Math.abs(gap) < 1e-12
      ? 0
      : gap > 0
        ? Number.POSITIVE_INFINITY
        : Number.NEGATIVE_INFINITY;
}

/** The likeliest two shares of those that differ by so much: the middle root of a cubic. Farrington & Manning (1990), appendix. */
export function likeliestShares(a: Share, b: Share, difference: number): readonly [number, number] {
  const ratio = b.n / a.n;
  const [pa, pb] = [a.k / a.n, b.k / b.n];
  const cubic = 1 + ratio;
  const square = -(1 + ratio + pa + ratio * pb + difference * (ratio + 2));
  const linear = difference ** 2 + difference * (2 * pa + ratio + 1) + pa + ratio * pb;
  const constant = -pa * difference * (1 + difference);
  const third = square / (3 * cubic);
  const v = third ** 3 - (square * linear) / (6 * cubic ** 2) + constant / (2 * cubic);
  const u = Math.sign(v || 1) * Math.sqrt(Math.max(0, third ** 2 - linear / (3 * cubic)));
  const angle = u === 0 ? 0 : (Math.PI + Math.acos(Math.min(1, Math.max(-1, v / u ** 3)))) / 3;
  const found = Math.min(
    1,
    Math.max(0, 2 * u * Math.cos(angle) - third),
    1 + Math.min(0, difference),
  );
  const own = Math.max(found, difference, 0);
  return [own, Math.min(1, Math.max(0, own - difference))];
}

/** Chances of 0 to n of n. */
function chances(n: number, share: number): readonly number[] {
  if (share <= 0) return [1, ...new Array<number>(n).fill(0)];
  if (share >= 1) return [...new Array<number>(n).fill(0), 1];
  const odds = share / (1 - share);
  const own: number[] = [];
  // From the likeliest on, so that nothing is too small to begin with.
  const top = Math.min(n, Math.floor((n + 1) * share));
  own[top] = 1;
  for (let k = top; k < n; k++) own[k + 1] = ((own[k] ?? 0) * odds * (n - k)) / (k + 1);
  for (let k = top; k > 0; k--) own[k - 1] = ((own[k] ?? 0) * k) / (odds * (n - k + 1));
  const sum = own.reduce((total, each) => total + each, 0);
  return own.map(each => each / sum);
}
