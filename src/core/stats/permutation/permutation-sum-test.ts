import { seededRandom, shuffleInPlace } from '@/core/stats/distributions/seeded-random';

/** Units of one block: a score each, and whether it was treated. */
export interface ScoreStratum {
  readonly scores: readonly number[];
  readonly isTreated: readonly boolean[];
}

/** How rare the sum of the treated scores is among all deals within the blocks. */
export interface PermutationSumTest {
  /** Two-sided: deals whose sum lies as far from its mean as this, or farther. */
  readonly p: number;
  readonly isExact: boolean;
  readonly sum: number;
  readonly mean: number;
}

const MOST_SUMS = 50_000; // scores without a common step give as many sums as there are choices: then random deals are as good and faster
const MOST_COUNTED = 300; // units of one block: beyond that counting over choices takes longer than dealing
const MOST_STEPS = 1_200_000; // of counting: a quarter of a second
const MOST_MOVES = 20_000_000;

/** 20,000 deals, fewer of so many units that they would take seconds. */
function randomDealsOf(units: number, most: number): number {
  return Math.max(1000, Math.min(most, Math.floor(MOST_MOVES / Math.max(1, units))));
}
const SAME = 1e-9;

/**
 * The permutation distribution of a sum of scores, exactly where the sums can be counted, else from 20,000 random deals
 * with p = (b + 1)/(m + 1). Sums are counted over choices, as in Streitberg & Röhmel (1986), Statistical Software
 * Newsletter 12, 10-17, so that ties do no harm.
 */
export function permutationSumTest(strata: readonly ScoreStratum[], seed = 1): PermutationSumTest {
  const [sum, mean] = [totalOf(strata, treatedSum), totalOf(strata, expectedSum)];
  const size = Math.max(1, ...strata.flatMap(stratum => stratum.scores.map(Math.abs)));
  const counts = countSums(strata, size * SAME);
  if (!counts)
    return { ...randomDeals(strata, { sum, mean, slack: size * 1e-7 }, seed), sum, mean };
  const far = Math.abs(sum - mean) - size * 1e-7;
  let [all, extreme] = [0, 0];
  for (const { value, count } of counts) {
    all += count;
    if (Math.abs(value - mean) >= far) extreme += count;
  }
  return { p: Math.min(1, extreme / all), isExact: true, sum, mean };
}

function totalOf(strata: readonly ScoreStratum[], of: (stratum: ScoreStratum) => number): number {
  return strata.reduce((sum, stratum) => sum + of(stratum), 0);
}

function treatedSum({ scores, isTreated }: ScoreStratum): number {
  return scores.reduce((sum, score, i) => sum + (isTreated[i] ? score : 0), 0);
}

function expectedSum({ scores, isTreated }: ScoreStratum): number {
  return scores.length === 0
    ? 0
    : (scores.reduce((sum, score) => sum + score, 0) * isTreated.filter(Boolean).length) /
        scores.length;
}

interface Sum {
  readonly value: number;
  readonly count: number;
}

type Sums = Map<number, Sum>;

/** All sums of all deals with how often each comes; undefined where there are too many to keep. */
function countSums(strata: readonly ScoreStratum[], grain: number): readonly Sum[] | undefined {
  let all: Sums = new Map([[0, { value: 0, count: 1 }]]);
  for (const { scores, isTreated } of strata) {
    const own = choicesOf(scores, isTreated.filter(Boolean).length, grain);
    if (!own || all.size * own.size > MOST_SUMS * 20) return undefined;
    const next: Sums = new Map();
    for (const a of all.values())
      for (const b of own.values()) put(next, a.value + b.value, a.count * b.count, grain);
    if (next.size > MOST_SUMS) return undefined;
    all = next;
  }
  return [...all.values()];
}

/** Sums of all choices of so many scores. */
function choicesOf(scores: readonly number[], chosen: number, grain: number): Sums | undefined {
  if (scores.length > MOST_COUNTED) return undefined;
  const bySize: Sums[] = Array.from({ length: chosen + 1 }, () => new Map<number, Sum>());
  bySize[0]!.set(0, { value: 0, count: 1 });
  let steps = 0;
  for (const score of scores) {
    for (let k = chosen; k > 0; k--) {
      steps += bySize[k - 1]!.size;
      for (const { value, count } of bySize[k - 1]!.values())
        put(bySize[k]!, value + score, count, grain);
      if (bySize[k]!.size > MOST_SUMS || steps > MOST_STEPS) return undefined;
    }
  }
  return bySize[chosen];
}

function put(sums: Sums, value: number, count: number, grain: number): void {
  const key = Math.round(value / grain);
  const standing = sums.get(key);
  sums.set(key, { value: standing?.value ?? value, count: (standing?.count ?? 0) + count });
}

function randomDeals(
  strata: readonly ScoreStratum[],
  { sum, mean, slack }: { readonly sum: number; readonly mean: number; readonly slack: number },
  seed: number,
): { readonly p: number; readonly isExact: false } {
  const random = seededRandom(seed);
  const dealt = strata.map(({ scores, isTreated }) => ({
    scores: [...scores],
    treated: isTreated.filter(Boolean).length,
  }));
  const deals = randomDealsOf(
    strata.reduce((total, stratum) => total + stratum.scores.length, 0),
    20_000,
  );
  let extreme = 0;
  for (let deal = 0; deal < deals; deal++) {
    let found = 0;
    for (const { scores, treated } of dealt) {
      shuffleInPlace(scores, random);
      for (let i = 0; i < treated; i++) found += scores[i]!;
    }
    if (Math.abs(found - mean) >= Math.abs(sum - mean) - slack) extreme += 1;
  }
  return { p: (extreme + 1) / (deals + 1), isExact: false };
}

/**
 * Pairs, the sign of each difference tossed again: exact p of the mean difference, two-sided.
 * Fisher (1935), The Design of Experiments, on Darwin's maize.
 */
export function signFlipP(differences: readonly number[], seed = 1): PermutationSumTest {
  return permutationSumTest(
    differences.map(difference => ({
      scores: [difference / 2, -difference / 2],
      isTreated: [true, false],
    })),
    seed,
  );
}

/** Units of one block: a score each, and which treatment it got; 0 is the control. */
export interface GroupedStratum {
  readonly scores: readonly number[];
  readonly group: readonly number[];
}

const DEALS_OF_SEVERAL = 4000; // a set of treatments; there may be sixty

/**
 * Several treatments against one control by random deals of all of them within their blocks. The statistic of a deal is its
 * largest gap over the spread that this deal leaves within treatments, so that one strong treatment does not hide the others,
 * and every p allows for how many there are (Westfall & Young 1993, Resampling-Based Multiple Testing, single step);
 * p = (b + 1)/(m + 1).
 *
 * @param groups how many treatments, the control included
 * @returns p of treatments 1 … groups − 1; 1 for one without units
 */
export function permutationSumTestOfSeveral(
  strata: readonly GroupedStratum[],
  groups: number,
  seed = 1,
): readonly number[] {
  const random = seededRandom(seed);
  const counts = new Array<number>(groups).fill(0);
  for (const { group } of strata) for (const each of group) counts[each]! += 1;
  const labels = strata.map(({ group }) => [...group]);
  // About each block's own mean: what a block gives to all alike is no spread.
  const centred = strata.map(({ scores }) => {
    const mean = scores.reduce((sum, score) => sum + score, 0) / scores.length;
    return scores.map(score => score - mean);
  });
  const square = centred.flat().reduce((sum, score) => sum + score * score, 0);
  const df = Math.max(1, labels.flat().length - strata.length - groups + 1);
  const sums = new Float64Array(groups);
  const gaps = (): readonly number[] => {
    sums.fill(0);
    for (let s = 0; s < strata.length; s++) {
      const scores = centred[s]!;
      const own = labels[s]!;
      for (let i = 0; i < scores.length; i++) sums[own[i]!]! += scores[i]!;
    }
    const between = counts.reduce(
      (sum, count, j) => (count === 0 ? sum : sum + sums[j]! ** 2 / count),
      0,
    );
    const spread = Math.sqrt(Math.max(square * 1e-12, square - between) / df);
    return counts
      .slice(1)
      .map((count, j) =>
        count === 0 || counts[0] === 0 || square === 0
          ? 0
          : Math.abs(sums[j + 1]! / count - sums[0]! / counts[0]!) /
            (spread * Math.sqrt(1 / count + 1 / counts[0]!)),
      );
  };
  const seen = gaps();
  const slack = 1e-9 * Math.max(1, ...seen);
  const beyond = seen.map(() => 0);
  const deals = randomDealsOf(
    counts.reduce((total, each) => total + each, 0),
    DEALS_OF_SEVERAL,
  );
  for (let deal = 0; deal < deals; deal++) {
    for (const own of labels) shuffleInPlace(own, random);
    const most = Math.max(...gaps());
    seen.forEach((gap, j) => {
      if (most >= gap - slack) beyond[j]! += 1;
    });
  }
  return seen.map((_, j) => (counts[j + 1] === 0 ? 1 : (beyond[j]! + 1) / (deals + 1)));
}
