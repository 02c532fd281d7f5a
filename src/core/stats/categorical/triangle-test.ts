import { inRandomOrder, seededRandom } from '@/core/stats/distributions/seeded-random';

/**
 * Chance that so many of n tasters, or more, find the odd one of three cups by guessing alone: the upper tail of a binomial
 * with 1/3 (ISO 4120, triangle test).
 */
export function triangleP(correct: number, tasters: number): number {
  if (!Number.isInteger(correct) || !Number.isInteger(tasters) || correct < 0 || correct > tasters)
    throw new RangeError(`correct must be a whole number in 0 … ${tasters}, got ${correct}`);
  let term = (2 / 3) ** tasters;
  let below = 0;
  for (let k = 0; k < correct; k++) {
    below += term;
    term *= (tasters - k) / (2 * (k + 1));
  }
  return Math.max(0, 1 - below);
}

/** The fewest right answers of n tasters that guessing alone gives at most so often; null where even all would not do. */
export function fewestCorrect(tasters: number, alpha = 0.05): number | null {
  for (let k = 0; k <= tasters; k++) if (triangleP(k, tasters) <= alpha) return k;
  return null;
}

/** Share of tasters who really taste it, from those who found it: a guess finds it one time in three. In [0, 1]. */
export function shareWhoTaste(correct: number, tasters: number): number {
  return Math.max(0, ((3 * correct) / tasters - 1) / 2);
}

/** What one taster gets: three cups by number, in the order in which they are to be tasted. */
export interface TasterCups {
  readonly taster: number;
  readonly cups: readonly { readonly code: number; readonly holds: 'A' | 'B' }[];
  readonly odd: number;
}

const ORDERS = ['AAB', 'ABA', 'BAA', 'BBA', 'BAB', 'ABB'] as const;

/** Cups for n tasters: all six orders as often as can be, in random order, under three-figure numbers that come once only. */
export function triangleCups(tasters: number, seed: number): readonly TasterCups[] {
  if (!Number.isInteger(tasters) || tasters < 1 || tasters > 300)
    throw new RangeError(`tasters must be a whole number in 1 … 300, got ${tasters}`);
  const random = seededRandom(seed);
  const orders = Array.from({ length: Math.ceil(tasters / ORDERS.length) }, () =>
    inRandomOrder(ORDERS, random),
  ).flat();
  const codes = inRandomOrder(
    Array.from({ length: 900 }, (_, i) => 100 + i),
    random,
  );
  return Array.from({ length: tasters }, (_, i): TasterCups => {
    const order = [...(orders[i] ?? 'AAB')];
    const cups = order.map((holds, cup) => ({
      code: codes[3 * i + cup] ?? 0,
      holds: holds === 'A' ? ('A' as const) : ('B' as const),
    }));
    const odd = cups.find(cup => cups.filter(other => other.holds === cup.holds).length === 1);
    return { taster: i + 1, cups, odd: odd?.code ?? 0 };
  });
}
