import {
  type BlockOfTwo,
  blocksOfTwo,
  isSplit,
  type OutcomeInput,
  type ReadUnit,
  readUnits,
  stratumOf,
} from '@/core/judge/question/outcome-input';
import { exactShareDifferenceInterval } from '@/core/stats/categorical/exact-share-difference';
import {
  chanceOfLarger,
  midRanks,
  rankSumTest,
  shiftInterval,
} from '@/core/stats/categorical/rank-tests';
import { type Share, shareDifferenceInterval } from '@/core/stats/categorical/share-intervals';
import {
  fisherExactP,
  heterogeneity,
  mantelHaenszel,
  type TwoByTwo,
} from '@/core/stats/categorical/two-by-two';
import { logChoose } from '@/core/stats/distributions/binomial';
import { normalQuantile, tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';
import {
  type PermutationSumTest,
  permutationSumTest,
  permutationSumTestOfSeveral,
  signFlipP,
} from '@/core/stats/permutation/permutation-sum-test';
import {
  logRank,
  logRankByDeals,
  logRankScores,
  restrictedMeanWait,
  type Waited,
} from '@/core/stats/survival/survival';
import { countRatio } from './count-ratio';
import type { Interval } from './judgement';
import type { Effect, OutcomeMethod } from './outcome-judgement';

/** What one kind's test says of a treatment beside the control, before it is called. */
export interface OutcomeTest {
  readonly method: OutcomeMethod;
  readonly p: number;
  /** By all deals of the units; null where there is only one. */
  readonly shuffleP: number | null;
  /** What speaks of units and not of items: a call needs it beside `p`. */
  readonly unitP: number;
  readonly difference: number;
  readonly intervalAt: (confidence: number) => Interval | null;
  readonly effectAt: (confidence: number) => Effect | null;
}

/** @returns undefined where one of the two has no unit that was read */
export function testOutcome(input: OutcomeInput, treatment: string): OutcomeTest | undefined {
  const blocks = blocksOfTwo(input, treatment);
  if (
    blocks.every(block => block.treated.length === 0) ||
    blocks.every(block => block.control.length === 0)
  )
    return undefined;
  if (input.isPaired && input.kind !== 'time') return testPairs(input, blocks);
  switch (input.kind) {
    case 'count':
      return testCounts(input, treatment, blocks);
    case 'proportion':
      return testShares(input, blocks);
    case 'ordinal':
      return testSteps(input, blocks);
    case 'time':
      return testDays(input, blocks);
  }
}

/** At this p of its own a treatment may still be called: only then are all the sets it belongs to looked at. */
const MAY_BE_CALLED = 0.05;
const MOST_CLOSED = 6; // treatments: 63 sets

/**
 * p for several treatments, so that no true “no difference” is called more often than in five of 100 trials, however strong the
 * others are: every set of treatments that holds it must be told from the control by deals of the units of that set alone.
 * Closed testing: Marcus, Peritz & Gabriel (1976), Biometrika 63, 655-660. The largest studentised gap is each set's statistic.
 *
 * @param ownP by treatment: its own p, of the method and of the deals of the two
 */
export function closedTestPValues(
  input: OutcomeInput,
  ownP: ReadonlyMap<string, number>,
): ReadonlyMap<string, number> {
  const tests = [...ownP.keys()];
  if (tests.length < 2) return ownP;
  // Sets of a split plot are dealt at two levels at once.
  if (tests.length > MOST_CLOSED || input.isPaired || isSplit(input))
    return new Map(holm([...ownP.values()]).map((p, i) => [tests[i] ?? '', p]));
  const open = tests.filter(name => (ownP.get(name) ?? 1) <= MAY_BE_CALLED);
  const sets = Array.from({ length: 2 ** tests.length - 1 }, (_, mask) =>
    tests.filter((_name, i) => ((mask + 1) >> i) & 1),
  ).filter(
    set => set.length > 1 && (set.length === tests.length || set.some(name => open.includes(name))),
  );
  const setPs = sets.map(set => ({ set, p: setP(input, set) }));
  return new Map(
    tests.map(name => [
      name,
      Math.max(
        ownP.get(name) ?? 1,
        ...setPs.filter(each => each.set.includes(name)).map(each => each.p),
      ),
    ]),
  );
}

/** Whether any treatment of a set differs from the control, by deals of the set's own units within their blocks. */
function setP(input: OutcomeInput, set: readonly string[]): number {
  const levels = [input.control, ...set];
  const nameOf = stratumOf(input);
  const blocks = new Map<string, ReadUnit[]>();
  for (const unit of readUnits(input)) {
    if (!levels.includes(unit.treatment)) continue;
    const key = nameOf(unit);
    blocks.set(key, [...(blocks.get(key) ?? []), unit]);
  }
  return Math.min(
    ...permutationSumTestOfSeveral(
      [...blocks.values()].map(units => ({
        scores: scoresOf(input, units),
        group: units.map(unit => levels.indexOf(unit.treatment)),
      })),
      levels.length,
      input.seed,
    ),
  );
}

/** p-values for so many tests at once. Holm (1979), Scandinavian Journal of Statistics 6, 65-70. */
export function holm(ps: readonly number[]): readonly number[] {
  const order = ps.map((p, i) => ({ p, i })).sort((a, b) => a.p - b.p);
  const adjusted = new Array<number>(ps.length).fill(1);
  let least = 0;
  order.forEach(({ p, i }, rank) => {
    least = Math.max(least, Math.min(1, p * (ps.length - rank)));
    adjusted[i] = least;
  });
  return adjusted;
}

/** One score a unit, within its block: its figure, its rank, or what the log-rank test makes of its days. */
function scoresOf(input: OutcomeInput, units: readonly ReadUnit[]): readonly number[] {
  if (input.kind === 'ordinal')
    return midRanks(units.map(unit => unit.value)).map(rank => rank / (units.length + 1));
  if (input.kind === 'time')
    return logRankScores(units.map(unit => ({ days: unit.value, hasCome: unit.hasCome })));
  return units.map(figureOf);
}

/** A unit's own figure, as shuffles and pairs take it. */
function figureOf(unit: ReadUnit): number {
  return unit.outOf === null ? unit.value : unit.value / unit.outOf;
}

const both = (
  blocks: readonly BlockOfTwo[],
): { readonly treated: readonly ReadUnit[]; readonly control: readonly ReadUnit[] } => ({
  treated: blocks.flatMap(block => block.treated),
  control: blocks.flatMap(block => block.control),
});

/** Units dealt again within their blocks, by their figures; null where there is only one deal. */
function byDeals(
  input: OutcomeInput,
  blocks: readonly BlockOfTwo[],
  scoresOf: (units: readonly ReadUnit[]) => readonly number[],
): number | null {
  const open = blocks.filter(block => block.treated.length > 0 && block.control.length > 0);
  if (open.every(block => block.treated.length + block.control.length < 2)) return null;
  return permutationSumTest(
    open.map(({ treated, control }) => ({
      scores: scoresOf([...treated, ...control]),
      isTreated: [...treated.map(() => true), ...control.map(() => false)],
    })),
    input.seed,
  ).p;
}

const meanFigure = (units: readonly ReadUnit[]): number =>
  units.reduce((sum, unit) => sum + figureOf(unit), 0) / units.length;

/** A block that lost one of the two says nothing. */
function differencesOf(blocks: readonly BlockOfTwo[]): readonly number[] {
  return blocks
    .filter(block => block.treated.length > 0 && block.control.length > 0)
    .map(block => meanFigure(block.treated) - meanFigure(block.control));
}

/** Mean of differences, one a block, with its standard error; 0 where there is but one. */
function spreadOfDifferences(differences: readonly number[]): {
  readonly mean: number;
  readonly se: number;
  readonly n: number;
} {
  const n = differences.length;
  const mean = differences.reduce((sum, value) => sum + value, 0) / n;
  return {
    n,
    mean,
    se:
      n > 1
        ? Math.sqrt(differences.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (n - 1) / n)
        : 0,
  };
}

/** Differences of pairs, their signs tossed again. A pair that lost one of its two says nothing. */
function testPairs(input: OutcomeInput, blocks: readonly BlockOfTwo[]): OutcomeTest | undefined {
  const differences = differencesOf(blocks);
  if (differences.length === 0) return undefined;
  const test = signFlipP(differences, input.seed);
  const { mean, se, n } = spreadOfDifferences(differences);
  const { treated, control } = both(
    blocks.filter(block => block.treated.length > 0 && block.control.length > 0),
  );
  // Of yes and no a few pairs often give one and the same difference: the interval is that of the two shares, as if they were no pairs.
  const around = (confidence: number): Interval | null => {
    if (isYesNo(input)) return singlesInterval(shareOf(treated), shareOf(control), confidence);
    if (!(se > 0)) return null;
    const half = tQuantile(1 - (1 - confidence) / 2, n - 1) * se;
    return [mean - half, mean + half];
  };
  return {
    method: 'sign-flip',
    p: test.p,
    shuffleP: test.p,
    unitP: test.p,
    difference: mean,
    intervalAt: around,
    effectAt: () => null,
  };
}

function testCounts(
  input: OutcomeInput,
  treatment: string,
  blocks: readonly BlockOfTwo[],
): OutcomeTest {
  const { treated, control } = both(blocks);
  const shuffleP = byDeals(input, blocks, units => units.map(figureOf));
  const difference = meanFigure(treated) - meanFigure(control);
  const model = countRatio(input, treatment);
  if (!model)
    return {
      method: 'shuffle-exact',
      p: shuffleP ?? 1,
      shuffleP,
      unitP: shuffleP ?? 1,
      difference,
      intervalAt: () => null,
      effectAt: () => null,
    };
  const { estimate, se, df } = model;
  const widerSe = Math.max(se, model.seOfCrowding);
  const pOf = (error: number): number => (error > 0 ? tTwoSidedP(estimate / error, df) : 1);
  const ratioAt = (confidence: number): Interval => {
    const half = tQuantile(1 - (1 - confidence) / 2, df) * widerSe;
    return [Math.exp(estimate - half), Math.exp(estimate + half)];
  };
  const level = meanFigure(control);
  return {
    method: 'quasi-poisson',
    p: pOf(se),
    shuffleP,
    unitP: Math.max(pOf(widerSe), isSplit(input) ? blockDifferencesP(blocks) : 0),
    difference,
    // The control's own error is in the ratio: beside its mean as it came.
    intervalAt: confidence => {
      const [low, high] = ratioAt(confidence);
      return [level * (low - 1), level * (high - 1)];
    },
    effectAt: confidence => ({
      what: 'rate-ratio',
      value: Math.exp(estimate),
      ci: ratioAt(confidence),
    }),
  };
}

/** Student's t of the differences within the blocks: of a few beds the model's spread is too small by more than a t allows for. */
function blockDifferencesP(blocks: readonly BlockOfTwo[]): number {
  const differences = differencesOf(blocks);
  if (differences.length < 2) return 1;
  const { mean, se, n } = spreadOfDifferences(differences);
  return se > 0 ? tTwoSidedP(mean / se, n - 1) : mean === 0 ? 1 : 0;
}

function testShares(input: OutcomeInput, blocks: readonly BlockOfTwo[]): OutcomeTest {
  const { treated, control } = both(blocks);
  const [a, b] = [shareOf(treated), shareOf(control)];
  const tables = blocks.map(block => tableOf(shareOf(block.treated), shareOf(block.control)));
  const pooled = mantelHaenszel(tables);
  const hasBlocks = input.blockNames.length > 0 && tables.length > 1;
  // Units that differ more than chance lets items differ are worth fewer items.
  const crowding = heterogeneity(
    [treated, control].map(units => units.map(unit => ({ k: unit.value, n: unit.outOf ?? 1 }))),
  );
  const worth = Math.max(1, crowding ? crowding.statistic / crowding.df : 1);
  const shuffleP = byDeals(input, blocks, units => units.map(figureOf));
  const df = treated.length + control.length - 2;
  const crowdedP = df > 0 && pooled ? tTwoSidedP(Math.sqrt(pooled.statistic / worth), df) : 1;
  const isOfUnits =
    crowding !== undefined &&
    df > 0 &&
    [...treated, ...control].some(unit => (unit.outOf ?? 1) > 1);
  // How much they crowd is known from so few units only: as a t is wider than a normal.
  const thinned = ({ k, n }: Share, confidence: number): Share => {
    const by = isOfUnits
      ? worth *
        (tQuantile(1 - (1 - confidence) / 2, df) / normalQuantile(1 - (1 - confidence) / 2)) ** 2
      : 1;
    return { k: k / by, n: n / by };
  };
  return {
    method: hasBlocks ? 'cochran-mantel-haenszel' : 'fisher-exact',
    p: hasBlocks ? (pooled?.p ?? 1) : fisherExactP(tableOf(a, b)),
    shuffleP,
    unitP: dealsOf(blocks) >= ENOUGH_DEALS ? (shuffleP ?? 1) : crowdedP,
    difference: a.k / a.n - b.k / b.n,
    intervalAt: confidence =>
      isYesNo(input)
        ? singlesInterval(a, b, confidence)
        : shareDifferenceInterval(thinned(a, confidence), thinned(b, confidence), confidence),
    effectAt: () => {
      const odds = mantelHaenszel(hasBlocks ? tables : [tableOf(a, b)])?.oddsRatio;
      return odds == null ? null : { what: 'odds-ratio', value: odds, ci: null };
    },
  };
}

/** One yes or no a unit. */
function isYesNo(input: OutcomeInput): boolean {
  return (
    input.kind === 'proportion' &&
    readUnits(input).every(unit => (unit.outOf ?? 1) === 1 && Number.isInteger(unit.value))
  );
}

/** Of so many units in all the approximate interval is as good, and sooner there. */
const MANY_UNITS = 400;

function singlesInterval(a: Share, b: Share, confidence: number): Interval {
  return a.n + b.n > MANY_UNITS
    ? shareDifferenceInterval(a, b, confidence)
    : exactShareDifferenceInterval(a, b, confidence);
}

/** With fewer deals than this none can be as rare as five in a hundred: there the spread of the units is reckoned with instead. */
const ENOUGH_DEALS = 40;

/** In how many ways two treatments could have been dealt to their units within their blocks. */
function dealsOf(blocks: readonly BlockOfTwo[]): number {
  return Math.exp(
    blocks.reduce(
      (sum, { treated, control }) =>
        sum + logChoose(treated.length + control.length, treated.length),
      0,
    ),
  );
}

function shareOf(units: readonly ReadUnit[]): Share {
  return {
    k: units.reduce((sum, unit) => sum + unit.value, 0),
    n: units.reduce((sum, unit) => sum + (unit.outOf ?? 1), 0),
  };
}

function tableOf(treated: Share, control: Share): TwoByTwo {
  return {
    treatedYes: treated.k,
    treatedNo: treated.n - treated.k,
    controlYes: control.k,
    controlNo: control.n - control.k,
  };
}

function testSteps(input: OutcomeInput, blocks: readonly BlockOfTwo[]): OutcomeTest {
  const samples = blocks.map(block => ({
    treated: block.treated.map(unit => unit.value),
    control: block.control.map(unit => unit.value),
  }));
  const open = samples.filter(block => block.treated.length > 0 && block.control.length > 0);
  const isBlocked = input.blockNames.length > 0 && open.length > 1;
  const all = {
    treated: samples.flatMap(block => block.treated),
    control: samples.flatMap(block => block.control),
  };
  const test: PermutationSumTest = rankSumTest(isBlocked ? open : [all], input.seed);
  const name = isBlocked ? 'van-elteren' : 'wilcoxon';
  return {
    method: `${name}-${test.isExact ? 'exact' : 'shuffled'}`,
    p: test.p,
    shuffleP: test.p,
    unitP: test.p,
    difference: shiftInterval(all, 0.95).shift,
    intervalAt: confidence => (isBlocked ? null : shiftInterval(all, confidence).ci),
    effectAt: confidence => {
      const value = chanceOfLarger(isBlocked ? open : [all]);
      return {
        what: 'chance-of-larger',
        value,
        ci: isBlocked ? null : chanceInterval(all.treated, all.control, value, confidence),
      };
    },
  };
}

/** Interval for the chance of larger, from the spread of its placements on the logit scale. Brunner & Munzel (2000), Biometrical Journal 42, 17-25. */
function chanceInterval(
  treated: readonly number[],
  control: readonly number[],
  value: number,
  confidence: number,
): Interval | null {
  const [m, n] = [treated.length, control.length];
  if (m < 2 || n < 2 || value <= 0 || value >= 1) return null;
  const ranks = midRanks([...treated, ...control]);
  const own = [midRanks(treated), midRanks(control)] as const;
  const spread = (placements: readonly number[]): number => {
    const mean = placements.reduce((sum, each) => sum + each, 0) / placements.length;
    return placements.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (placements.length - 1);
  };
  const [st, sc] = [
    spread(treated.map((_, i) => (ranks[i]! - own[0][i]!) / n)),
    spread(control.map((_, i) => (ranks[m + i]! - own[1][i]!) / m)),
  ];
  const se = Math.sqrt(st / m + sc / n) / (value * (1 - value));
  const [logit, half] = [
    Math.log(value / (1 - value)),
    normalQuantile(1 - (1 - confidence) / 2) * se,
  ];
  return [logit - half, logit + half].map(each => 1 / (1 + Math.exp(-each))) as unknown as Interval;
}

function testDays(input: OutcomeInput, blocks: readonly BlockOfTwo[]): OutcomeTest {
  const waited = (units: readonly ReadUnit[]): readonly Waited[] =>
    units.map(unit => ({ days: unit.value, hasCome: unit.hasCome }));
  const samples = blocks.map(block => ({
    treated: waited(block.treated),
    control: waited(block.control),
  }));
  const isBlocked =
    input.blockNames.length > 0 &&
    samples.filter(block => block.treated.length > 0 && block.control.length > 0).length > 1;
  const all = {
    treated: samples.flatMap(block => block.treated),
    control: samples.flatMap(block => block.control),
  };
  const test = logRank(isBlocked ? samples : [all]);
  const shuffleP = logRankByDeals(isBlocked ? samples : [all], input.seed).p;
  const until = Math.min(
    ...[all.treated, all.control].map(units => Math.max(...units.map(unit => unit.days))),
  );
  const [a, b] = [restrictedMeanWait(all.treated, until), restrictedMeanWait(all.control, until)];
  const within = isBlocked ? waitsWithinBlocks(blocks, until) : undefined;
  const { difference, se, df } = within ?? {
    difference: a.mean - b.mean,
    se: Math.hypot(a.se, b.se),
    df: all.treated.length + all.control.length - 2,
  };
  return {
    method: isBlocked ? 'stratified-log-rank' : 'log-rank',
    p: test?.p ?? 1,
    shuffleP,
    unitP: shuffleP,
    difference,
    // Greenwood's variance from a handful of units is itself uncertain.
    intervalAt: confidence => {
      if (!(se > 0) || df < 1) return null;
      const half = tQuantile(1 - (1 - confidence) / 2, df) * se;
      return [difference - half, difference + half];
    },
    effectAt: () =>
      test?.hazardRatio == null
        ? null
        : { what: 'hazard-ratio', value: test.hazardRatio, ci: null },
  };
}

/** How much longer the treated waited, block by block, up to a common day; undefined where one was looked at for a shorter time. */
function waitsWithinBlocks(
  blocks: readonly BlockOfTwo[],
  until: number,
): { readonly difference: number; readonly se: number; readonly df: number } | undefined {
  const { treated, control } = both(blocks);
  if ([...treated, ...control].some(unit => !unit.hasCome && unit.value < until)) return undefined;
  const upTo = (unit: ReadUnit): ReadUnit => ({ ...unit, value: Math.min(unit.value, until) });
  const { mean, se, n } = spreadOfDifferences(
    differencesOf(
      blocks.map(block => ({
        ...block,
        treated: block.treated.map(upTo),
        control: block.control.map(upTo),
      })),
    ),
  );
  return { difference: mean, se, df: n - 1 };
}
