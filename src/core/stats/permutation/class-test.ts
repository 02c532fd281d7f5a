import { seededRandom, shuffleInPlace } from '@/core/stats/distributions/seeded-random';

/** What was seen within one block: of each unit its class and its treatment, both numbered from 0. */
export interface ClassStratum {
  readonly classes: readonly number[];
  readonly groups: readonly number[];
}

const DEALS = 9_999; // the error of a p near 0.05 is 0.002

/**
 * Whether treatments differ in how often each class comes: Pearson's chi-square of the table of all blocks, against what
 * the blocks by themselves lead to expect, with a p by deals of the units within their blocks (as Pitman 1937 for any
 * statistic), so that small tables need no large-sample distribution.
 *
 * @returns undefined where every unit is of one class or one treatment
 */
export function classTest(
  strata: readonly ClassStratum[],
  seed: number,
): { readonly statistic: number; readonly df: number; readonly p: number } | undefined {
  const classes = 1 + Math.max(-1, ...strata.flatMap(stratum => stratum.classes));
  const groups = 1 + Math.max(-1, ...strata.flatMap(stratum => stratum.groups));
  const expected = new Float64Array(classes * groups);
  for (const stratum of strata)
    for (const a of stratum.classes)
      for (const b of stratum.groups) expected[a * groups + b]! += 1 / stratum.classes.length;
  const seen = {
    classes: new Set(strata.flatMap(stratum => stratum.classes)).size,
    groups: new Set(strata.flatMap(stratum => stratum.groups)).size,
  };
  if (seen.classes < 2 || seen.groups < 2) return undefined;
  const labels = strata.map(stratum => [...stratum.groups]);
  const statistic = (): number => {
    const counts = new Float64Array(classes * groups);
    strata.forEach((stratum, s) => {
      stratum.classes.forEach((a, i) => {
        counts[a * groups + labels[s]![i]!]! += 1;
      });
    });
    return counts.reduce(
      (sum, count, cell) =>
        expected[cell]! > 0 ? sum + (count - expected[cell]!) ** 2 / expected[cell]! : sum,
      0,
    );
  };
  const real = statistic();
  const random = seededRandom(seed);
  let asLarge = 0;
  for (let deal = 0; deal < DEALS; deal++) {
    for (const own of labels) shuffleInPlace(own, random);
    if (statistic() >= real - 1e-9) asLarge += 1;
  }
  return {
    statistic: real,
    df: (seen.classes - 1) * (seen.groups - 1),
    p: (asLarge + 1) / (DEALS + 1),
  };
}
