import type { SeededRandom } from '@/core/stats/distributions/seeded-random';
import { byStratum, countArrangements, everyArrangement, randomDeals } from './arrangements';
import { countLatinSquares, everyLatinSquare, randomLatinSquares } from './latin-squares';
import type {
  BalanceRule,
  PermutationProblem,
  ReRandomisationRule,
  SplitPlotRule,
} from './permutation-problem';

/** A way to deal again: each call of a stepper writes the next deal's treatments, one a dealt unit, into `dealt`. */
export interface ReRandomisation {
  /** How many deals the layout could have made; may be Infinity. */
  readonly arrangements: number;
  readonly dealt: Int32Array;
  readonly every: () => () => void;
  readonly random: (random: SeededRandom) => () => void;
}

// Renaming alone makes each deal a fresh one of its kind; the moves lead from kind to kind.
const LATIN_VISITS = 2;

/** The dealer of a layout, standing at the deal that was really made. */
export function reRandomisationOf(redeal: ReRandomisationRule): ReRandomisation {
  switch (redeal.kind) {
    case 'within-strata': {
      const dealt = Int32Array.from(redeal.treatment);
      const order = byStratum(redeal.stratum);
      return {
        arrangements: countArrangements(redeal),
        dealt,
        every: () => everyArrangement(dealt, order),
        random: random => randomDeals(dealt, order, random),
      };
    }
    case 'latin-square': {
      const dealt = Int32Array.from(redeal.square);
      return {
        arrangements: countLatinSquares(redeal.order),
        dealt,
        every: () => everyLatinSquare(dealt, redeal.order),
        random: random => randomLatinSquares(dealt, redeal.order, random, LATIN_VISITS),
      };
    }
    case 'split-plot':
      return splitPlotDealer(redeal);
  }
}

/** Whole plots and the units within them are two decks, shuffled side by side in one array: the whole plots first. */
function splitPlotDealer(redeal: SplitPlotRule): ReRandomisation {
  const wholes = redeal.wholeLevel.length;
  const labels = Int32Array.from([...redeal.wholeLevel, ...redeal.subLevel]);
  const strata = [
    ...byStratum(redeal.wholeStratum),
    ...byStratum(redeal.wholePlot).map(units => units.map(unit => unit + wholes)),
  ];
  const dealt = new Int32Array(redeal.subLevel.length);
  const compose = (): void => {
    for (let unit = 0; unit < dealt.length; unit++)
      dealt[unit] = redeal.treatmentOf[labels[redeal.wholePlot[unit]!]!]![labels[wholes + unit]!]!;
  };
  const thenCompose = (next: () => void) => (): void => {
    next();
    compose();
  };
  compose();
  return {
    arrangements:
      countArrangements({ stratum: redeal.wholeStratum, treatment: redeal.wholeLevel }) *
      countArrangements({ stratum: redeal.wholePlot, treatment: redeal.subLevel }),
    dealt,
    every: () => thenCompose(everyArrangement(labels, strata)),
    random: random => thenCompose(randomDeals(labels, strata, random)),
  };
}

/** How many deals the layout could have made, a rule about start sizes aside; may be Infinity. */
export function countReRandomisations(problem: Pick<PermutationProblem, 'rule'>): number {
  return reRandomisationOf(problem.rule).arrangements;
}

/** Σ n (mean − grand mean)² of start sizes over the treatments: what a balanced deal keeps small. */
export function startImbalance(
  startSize: readonly number[],
  treatment: ArrayLike<number>,
  treatments: number,
): number {
  const sums = new Float64Array(treatments);
  const counts = new Int32Array(treatments);
  const grand = startSize.reduce((sum, size) => sum + size, 0) / startSize.length;
  startSize.forEach((size, unit) => {
    sums[treatment[unit]!]! += size - grand;
    counts[treatment[unit]!]! += 1;
  });
  return sums.reduce(
    (square, sum, t) => (counts[t]! > 0 ? square + (sum * sum) / counts[t]! : square),
    0,
  );
}

const SAME_IMBALANCE = 1e-9; // the deal that was made must pass its own rule whatever the order of its sum

/** Whether a deal meets the rule that its layout set. */
export function isBalanced(
  rule: BalanceRule | undefined,
  treatment: ArrayLike<number>,
  treatments: number,
): boolean {
  return (
    rule === undefined ||
    startImbalance(rule.startSize, treatment, treatments) <= rule.most * (1 + SAME_IMBALANCE)
  );
}
