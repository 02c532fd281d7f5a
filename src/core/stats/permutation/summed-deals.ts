import type { SeededRandom } from '@/core/stats/distributions/seeded-random';
import { byStratum } from './arrangements';
import type { PermutationProblem } from './permutation-problem';

/** Deals of small decks, whose sums by treatment stand in a table for every order that a deck can have. */
export interface SummedDeals {
  /** Makes the next deal. @returns the sum of the values by treatment; the array is used again at the next call */
  readonly next: () => Float64Array;
  /** The labels of the latest deal. */
  readonly labels: () => Int32Array;
}

/** A deck of six has 720 orders; of more the tables outgrow what they save. */
const LARGEST_DECK = 6;

/**
 * Random deals within strata. @param values one a unit, as the sums are wanted of
 * @returns undefined where the layout deals otherwise, or a stratum is large
 */
export function summedDeals(
  problem: PermutationProblem,
  values: ArrayLike<number>,
  random: SeededRandom,
): SummedDeals | undefined {
  const { rule, dealtUnits, treatments } = problem;
  if (rule.kind !== 'within-strata' || problem.balance) return undefined;
  if (!dealtUnits.every((unit, i) => unit === i)) return undefined;
  const strata = byStratum(rule.stratum).filter(units => units.length > 1);
  if (strata.length === 0 || strata.some(units => units.length > LARGEST_DECK)) return undefined;
  const decks = strata.map(units => ({ units, orders: ordersOf(units.length) }));
  // All tables in one row: a deal is some sixty looks into it, and a detour at each would be most of its cost.
  const starts = Int32Array.from(decks, (_, d) =>
    decks.slice(0, d).reduce((sum, { orders }) => sum + orders.length * treatments, 0),
  );
  const sizes = Int32Array.from(decks, ({ orders }) => orders.length);
  const table = new Float64Array(sizes.reduce((sum, size) => sum + size * treatments, 0));
  decks.forEach(({ units, orders }, d) => {
    const own = units.map(unit => values[unit]!);
    const labels = units.map(unit => rule.treatment[unit]!);
    orders.forEach((order, row) => {
      const from = starts[d]! + row * treatments;
      for (let i = 0; i < order.length; i++) table[from + labels[order[i]!]!]! += own[i]!;
    });
  });
  const alone = lonelySums(problem, new Set(strata.flat()), values);
  const drawn = new Int32Array(decks.length);
  const sums = new Float64Array(treatments);
  return {
    next: () => {
      sums.set(alone);
      for (let d = 0; d < drawn.length; d++) {
        const order = Math.floor(random.share() * sizes[d]!);
        drawn[d] = order;
        const from = starts[d]! + order * treatments;
        for (let t = 0; t < treatments; t++) sums[t]! += table[from + t]!;
      }
      return sums;
    },
    labels: () => {
      const labels = Int32Array.from(problem.treatment);
      decks.forEach(({ units, orders }, d) => {
        const order = orders[drawn[d]!]!;
        units.forEach((unit, i) => {
          labels[unit] = rule.treatment[units[order[i]!]!]!;
        });
      });
      return labels;
    },
  };
}

const ORDERS = new Map<number, readonly (readonly number[])[]>();

/** Every order of so many cards. Cards alike are told apart: so each hand stands in as often as chance would have it. */
function ordersOf(size: number): readonly (readonly number[])[] {
  const known = ORDERS.get(size);
  if (known) return known;
  const made = permuted(Array.from({ length: size }, (_, i) => i));
  ORDERS.set(size, made);
  return made;
}

function permuted(cards: readonly number[]): readonly (readonly number[])[] {
  if (cards.length < 2) return [cards];
  return cards.flatMap(card =>
    permuted(cards.filter(other => other !== card)).map(rest => [card, ...rest]),
  );
}

/** Of units that stand alone in their stratum: no deal moves them. */
function lonelySums(
  { treatment, treatments }: PermutationProblem,
  dealt: ReadonlySet<number>,
  values: ArrayLike<number>,
): Float64Array {
  const sums = new Float64Array(treatments);
  treatment.forEach((label, unit) => {
    if (!dealt.has(unit)) sums[label]! += values[unit]!;
  });
  return sums;
}
