import { isRead, type JudgeInput, type ReadUnit } from '@/core/judge/question/judge-input';
import { blocksOfTwo } from '@/core/judge/question/strata';
import { midRanks } from '@/core/stats/categorical/rank-tests';
import { dot } from '@/core/stats/linear/orthonormal-basis';
import { median } from '@/core/stats/median';
import type { Compared, NaturalScale, Reach } from './natural-scale';

/**
 * Ranks of all units, each first held against the mean of its blocks. Hodges & Lehmann (1962), Annals of Mathematical
 * Statistics 33, 482-497: aligned ranks.
 *
 * @param less taken from each unit before it is ranked
 */
export function withinBlockRanks(
  { units, blockNames }: JudgeInput,
  less: (treatment: string) => number = () => 0,
): readonly (number | null)[] {
  const read = units.filter(isRead);
  const values = read.map(unit => unit.value - less(unit.treatment));
  const all = meanOf(values);
  const aligned = blockNames.reduce<readonly number[]>((left, _, at) => {
    const sums = new Map<string, { sum: number; n: number }>();
    read.forEach((unit, i) => {
      const key = unit.blocks[at] ?? '';
      const own = sums.get(key) ?? { sum: 0, n: 0 };
      sums.set(key, { sum: own.sum + (values[i] ?? 0), n: own.n + 1 });
    });
    return left.map((value, i) => {
      const own = sums.get(read[i]?.blocks[at] ?? '');
      return value - (own ? own.sum / own.n - all : 0);
    });
  }, values);
  // Aligning leaves rounding behind, and what was tied has to stay tied.
  const ranks = midRanks(aligned.map(value => Math.round(value * TIED) / TIED));
  let at = -1;
  return units.map(unit => {
    if (!isRead(unit)) return null;
    at += 1;
    return ranks[at] ?? null;
  });
}

const TIED = 1e9;

function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
}

/**
 * The model is linear in aligned ranks. The shift in steps is the middle of all differences within the blocks (Hodges & Lehmann
 * 1963, Annals of Mathematical Statistics 34, 598-611), its interval all shifts that, taken off again, the ranks let stand.
 */
export const RANK_SCALE: NaturalScale = {
  level: mean => mean.estimate,
  difference: ({ input, treated, controls }) =>
    middleStep(
      blocksOfTwo(input, treated, controls).flatMap(block =>
        thinned(block.treated).flatMap(a => thinned(block.control).map(b => a - b)),
      ),
    ) ?? 0,
  interval: (compared, reach) => [shiftOf(compared, reach, 1), shiftOf(compared, reach, -1)],
  percent: () => null,
  percentInterval: () => null,
  logRatio: () => null,
  workingMargin: () => null,
};

const MOST_OF_EACH = 200;

/** Of thousands of values as many as tell the same, evenly over their order. */
function thinned(units: readonly ReadUnit[]): readonly number[] {
  const values = units.map(unit => unit.value);
  if (values.length <= MOST_OF_EACH) return values;
  const sorted = [...values].sort((a, b) => a - b);
  return Array.from(
    { length: MOST_OF_EACH },
    (_, i) => sorted[Math.floor(((i + 0.5) * sorted.length) / MOST_OF_EACH)]!,
  );
}

/** The end of the interval: the least (or largest) shift at which the ranks' t is within the critical value. */
function shiftOf(compared: Compared, { critical, covariance }: Reach, side: 1 | -1): number {
  const { difference } = compared;
  const t = difference.estimate / Math.sqrt(covariance(difference, difference));
  const isCalled = side * t > critical;
  const end = shiftAt(compared, critical, side);
  // Whether nothing at all is inside the interval is for the t of what was really read to say.
  return isCalled ? side * Math.max(side * end, BARELY) : side * Math.min(side * end, 0);
}

const BARELY = 1e-9;
const HALVINGS = 10;
const MOST_CELLS = 10_000;

/** The shift at which side × t falls to the critical value, by halving; t never rises with the shift. */
function shiftAt(compared: Compared, critical: number, side: 1 | -1): number {
  const values = compared.input.units.filter(isRead).map(unit => unit.value);
  const range = Math.max(...values) - Math.min(...values);
  let [out, within] = [-side * range, side * range];
  // Of hundreds of treatments the search would take minutes: then as far as the steps go.
  if (values.length * compared.model.basis.length > MOST_CELLS) return out;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (out + within) / 2;
    if (side * tAfter(compared, middle) > critical) out = middle;
    else within = middle;
  }
  return rounded((out + within) / 2, range / 2 ** (HALVINGS - 1));
}

/** Steps are few: what lies within the search's own step of a tenth is that tenth. */
function rounded(value: number, step: number): number {
  const tenth = Math.round(value * 10) / 10;
  return Math.abs(tenth - value) <= step ? tenth : value;
}

/** Student's t of the ranks once the treated have so much taken off: the same model of other values. */
function tAfter({ input, model, treated, difference }: Compared, shift: number): number {
  const ranks = withinBlockRanks(input, name => (treated.includes(name) ? shift : 0)).flatMap(
    rank => (rank === null ? [] : [rank]),
  );
  const left =
    dot(ranks, ranks) - model.basis.reduce((sum, vector) => sum + dot(vector, ranks) ** 2, 0);
  if (model.residualDf < 1) return 0;
  const estimate = dot(model.weightsOf(difference), ranks);
  const variance =
    (Math.max(0, left) / model.residualDf) * dot(difference.direction, difference.direction);
  const isNothing = Math.abs(estimate) < 1e-9;
  if (variance > 1e-12) return estimate / Math.sqrt(variance);
  return isNothing ? 0 : Math.sign(estimate) * Number.MAX_VALUE;
}

/** The middle step of some units. */
export function middleStep(values: readonly number[]): number | null {
  return values.length === 0 ? null : median(values);
}
