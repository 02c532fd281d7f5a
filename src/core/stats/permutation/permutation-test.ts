import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { type GapStatistic, maxT } from './max-t';
import type { PermutationProblem } from './permutation-problem';
import { isBalanced, reRandomisationOf } from './re-randomisation';
import { refittedMaxT } from './refitted-max-t';
import { type SummedDeals, summedDeals } from './summed-deals';

/** What a shuffle test found, or has found so far. */
export interface PermutationResult {
  readonly exact: boolean;
  /** How many deals were looked at. */
  readonly arrangements: number;
  readonly seed: number;
  readonly comparisons: readonly PermutationComparison[];
  /** How often the largest |t| of a deal fell into each bin of `binWidth`; the last bin holds all beyond. */
  readonly histogram: { readonly binWidth: number; readonly counts: readonly number[] };
}

/** One treatment against the control. */
export interface PermutationComparison {
  /** Index of the treatment, ≥ 1. */
  readonly treatment: number;
  /** |t| of the deal that was really made. */
  readonly observed: number;
  /** Share of deals whose |t| for this treatment is as large. */
  readonly p: number;
  /** Share of deals whose largest |t| over all treatments is as large: Westfall & Young (1993), single-step max T. */
  readonly pAdjusted: number;
}

/** A shuffle test on its way. It is stepped from outside, so that it can be watched, reported on and stopped. */
export interface PermutationRun {
  /** How many deals there will be. */
  readonly total: number;
  readonly exact: boolean;
  /** Makes up to so many further deals; false when none are left. */
  readonly step: (deals: number) => boolean;
  readonly done: () => number;
  /** The labels of the latest deal and its largest |t|. */
  readonly latest: () => { readonly treatment: readonly number[]; readonly largestT: number };
  readonly result: () => PermutationResult;
}

/** Up to so many arrangements are looked at one by one. */
export const MOST_EXACT_ARRANGEMENTS = 200_000;

/**
 * Re-deals the treatments as the layout could have dealt them and compares the studentised gaps. All arrangements where
 * there are at most 200,000 (p = share of them), otherwise `deals` random ones with p = (b + 1)/(m + 1). Where the deal
 * had to meet a rule about start sizes, only deals that meet it count (Morgan & Rubin 2012, Annals of Statistics 40,
 * 1263-1282).
 *
 * @returns undefined where no spread is left to judge by, or the layout could have dealt only this one arrangement
 */
export function startPermutationTest(
  problem: PermutationProblem,
  deals: number,
  seed: number,
): PermutationRun | undefined {
  const statistic = statisticOf(problem);
  const dealer = reRandomisationOf(problem.rule);
  if (!statistic || dealer.arrangements < 2) return undefined;
  const exact = dealer.arrangements <= MOST_EXACT_ARRANGEMENTS;
  const total = exact ? dealer.arrangements : deals;
  const labels = Int32Array.from(problem.treatment);
  const tally = startTally(statistic.of(labels)); // before the labels move: this is the deal that was really made
  const random = seededRandom(seed);
  const nextDeal = exact ? dealer.every() : dealer.random(random);
  const { bySums } = statistic;
  const summed = exact || !bySums ? undefined : summedDeals(problem, bySums.values, random);
  let done = 0;
  let counted = 0;

  const makeSummedDeals = (deals: SummedDeals, until: number): void => {
    for (; done < until; done++) tally.add(bySums!.of(deals.next()));
    counted = done;
  };
  const makeDeals = (wanted: number): boolean => {
    const until = Math.min(total, done + wanted);
    if (summed) makeSummedDeals(summed, until);
    for (; done < until; done++) {
      nextDeal();
      let isAllowed = isBalanced(problem.balance, dealer.dealt, problem.treatments);
      for (let tries = 1; !exact && !isAllowed && tries < MOST_TRIES; tries++) {
        nextDeal();
        isAllowed = isBalanced(problem.balance, dealer.dealt, problem.treatments);
      }
      if (!isAllowed) continue;
      for (let unit = 0; unit < labels.length; unit++)
        labels[unit] = dealer.dealt[problem.dealtUnits[unit]!]!;
      tally.add(statistic.of(labels));
      counted += 1;
    }
    return done < total;
  };
  return {
    total,
    exact,
    step: makeDeals,
    done: () => done,
    latest: () => ({ treatment: [...(summed?.labels() ?? labels)], largestT: tally.latest() }),
    result: () => ({ exact, arrangements: counted, seed, ...tally.summary(exact, counted) }),
  };
}

// A rule that lets fewer deals through than one in so many was not met by dealing again and again.
const MOST_TRIES = 2000;

/**
 * The studentised gaps as a function of the labels. Where a deal leaves the count of each treatment in each block as it
 * is, the normal equations are solved once, and a deal costs one pass over the units; otherwise each deal is fitted anew.
 */
function statisticOf(problem: PermutationProblem): GapStatistic | undefined {
  const { rule } = problem;
  const keepsCounts =
    (problem.placeColumns ?? []).length === 0 &&
    problem.wholePlot === undefined &&
    rule.kind !== 'split-plot' &&
    (rule.kind === 'latin-square' ? rule.square : rule.stratum).length === problem.y.length;
  if (keepsCounts) return maxT(problem);
  const of = refittedMaxT(problem);
  return of && { of };
}

/** Runs a test to its end. */
export function runPermutationTest(
  problem: PermutationProblem,
  deals: number,
  seed: number,
): PermutationResult | undefined {
  const run = startPermutationTest(problem, deals, seed);
  run?.step(run.total);
  return run?.result();
}

// Two deals that give the same gap on paper differ in the last digits of their sums.
const SAME_T = 1e-9;
const BIN_WIDTH = 0.2;
const BINS = 60;

function startTally(first: Float64Array) {
  const observed = Float64Array.from(first);
  const thresholds = observed.map(t => t - SAME_T * Math.max(1, t));
  const asLarge = new Int32Array(observed.length);
  const largestAsLarge = new Int32Array(observed.length);
  const counts = new Int32Array(BINS);
  // In an array: a number that outlives the call would be put on the heap anew at every deal.
  const latest = new Float64Array([largestOf(observed)]);

  return {
    add: (gaps: Float64Array): void => {
      const largest = largestOf(gaps);
      latest[0] = largest;
      for (let c = 0; c < gaps.length; c++) {
        if (gaps[c]! >= thresholds[c]!) asLarge[c]!++;
        if (largest >= thresholds[c]!) largestAsLarge[c]!++;
      }
      counts[Math.min(BINS - 1, Math.floor(largest / BIN_WIDTH))]!++;
    },
    latest: () => latest[0]!,
    summary: (
      exact: boolean,
      done: number,
    ): Pick<PermutationResult, 'comparisons' | 'histogram'> => {
      // The deal that was made counts as one of the random ones, so that p is never 0.
      const share = (count: number): number =>
        exact ? count / Math.max(1, done) : (count + 1) / (done + 1);
      const comparisons = [...observed].flatMap((t, c): PermutationComparison[] =>
        Number.isNaN(t)
          ? []
          : [
              {
                treatment: c + 1,
                observed: t,
                p: share(asLarge[c]!),
                pAdjusted: share(largestAsLarge[c]!),
              },
            ],
      );
      return { comparisons, histogram: { binWidth: BIN_WIDTH, counts: [...counts] } };
    },
  };
}

function largestOf(gaps: Float64Array): number {
  let largest = 0;
  for (let c = 0; c < gaps.length; c++) if (gaps[c]! > largest) largest = gaps[c]!;
  return largest;
}
