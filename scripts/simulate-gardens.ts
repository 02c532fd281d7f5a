import type { GardenGap } from '@/core/judge/together/garden-answer';
import { poolGardens } from '@/core/judge/together/pooled-gardens';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { type SeededRandom, seededRandom } from '@/core/stats/distributions/seeded-random';

/** A set of gardens: how many, pots of each treatment, how far the true effect differs between gardens (SD of its logarithm). */
interface Case {
  readonly gardens: number;
  readonly pots: number;
  readonly between: number;
  /** How many of the gardens have one pot of each only. */
  readonly single?: number;
}

const CASES: readonly Case[] = [
  { gardens: 10, pots: 4, between: 0.1 },
  { gardens: 10, pots: 4, between: 0.25 },
  { gardens: 10, pots: 4, between: 0 },
  { gardens: 5, pots: 4, between: 0.15 },
  { gardens: 5, pots: 8, between: 0.15 },
  { gardens: 20, pots: 3, between: 0.15 },
  { gardens: 10, pots: 4, between: 0.15, single: 4 },
  { gardens: 10, pots: 1, between: 0.15, single: 10 },
];

/** What pots treated alike differ by, and the true mean effect: a gain of 15%. */
const CV = 0.2;
const TRUE = Math.log(1.15);

/** How often the interval of the mean effect holds the true one, and how often that of one more garden holds a new garden’s. */
export function simulateGardens(runs: number): void {
  console.log('gardens  pots  between  mean held  a garden like them held');
  for (const [seed, each] of CASES.entries()) {
    const random = seededRandom(20261130 + seed);
    let [held, foretold] = [0, 0];
    for (let run = 0; run < runs; run++) {
      const found = together(each, random);
      if (found.ci[0] <= gain(TRUE) && gain(TRUE) <= found.ci[1]) held++;
      const next = gain(TRUE + each.between * normalDraw(random));
      if (found.prediction && found.prediction[0] <= next && next <= found.prediction[1])
        foretold++;
    }
    const { gardens, pots, between, single } = each;
    const share = (count: number): string => `${((100 * count) / runs).toFixed(1)}%`;
    console.log(
      `${gardens}  ${pots}${single ? ` (1 in ${single} of them)` : ''}  ${between}  ${share(held)}  ${share(foretold)}`,
    );
  }
}

function gain(log: number): number {
  return 100 * Math.expm1(log);
}

function together({ gardens, pots, between, single = 0 }: Case, random: SeededRandom) {
  const findings = Array.from({ length: gardens }, (_, i) => ({
    id: String(i),
    gardenId: String(i),
    gap: gardenGap(i < single ? 1 : pots, TRUE + between * normalDraw(random), random),
  }));
  const { together: found } = poolGardens(
    { treatment: 'feed', control: 'water', isLine: false },
    findings,
    {
      better: 'higher',
      margin: null,
      isShare: true,
      comparisons: 1,
    },
  );
  if (!found) throw new Error('two gardens and more are taken together');
  return found;
}

/** What a garden of so many pots of each finds: means, their common spread, the ratio by the delta method. */
function gardenGap(pots: number, effect: number, random: SeededRandom): GardenGap {
  const level = 400 * Math.exp(0.3 * normalDraw(random));
  const drawn = (mean: number): readonly number[] =>
    Array.from({ length: pots }, () => mean * Math.max(0.05, 1 + CV * normalDraw(random)));
  const [control, treated] = [drawn(level), drawn(level * Math.exp(effect))];
  const [c, t] = [meanOf(control), meanOf(treated)];
  const ss = [...control.map(v => (v - c) ** 2), ...treated.map(v => (v - t) ** 2)];
  const df = 2 * pots - 2;
  const variance = df > 0 ? ss.reduce((sum, each) => sum + each, 0) / df : null;
  return {
    treatment: 'feed',
    control: 'water',
    isLine: false,
    difference: t - c,
    se: variance === null ? null : Math.sqrt((2 * variance) / pots),
    df,
    percent: 100 * (t / c - 1),
    logRatio:
      variance === null
        ? null
        : {
            estimate: Math.log(t / c),
            se: Math.sqrt((variance / pots) * (1 / c ** 2 + 1 / t ** 2)),
          },
    controlLevel: c,
    units: [pots, pots],
    share: 2 / pots,
  };
}

function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
