import type { Interval } from '@/core/judge/outcomes/judgement';
import {
  type BlockOfTwo,
  type OutcomeInput,
  type ReadUnit,
  readUnits,
} from '@/core/judge/question/outcome-input';
import { exactShareDifferenceInterval } from '@/core/stats/categorical/exact-share-difference';
import { type Share, shareDifferenceInterval } from '@/core/stats/categorical/share-intervals';
import {
  fisherExactP,
  heterogeneity,
  mantelHaenszel,
  type TwoByTwo,
} from '@/core/stats/categorical/two-by-two';
import { logChoose } from '@/core/stats/distributions/binomial';
import { normalQuantile, tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';
import { byDeals } from './outcome-differences';
import { both, figureOf, type OutcomeTest } from './outcome-test';

export function testShares(input: OutcomeInput, blocks: readonly BlockOfTwo[]): OutcomeTest {
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
  const atEffectiveSampleSize = ({ k, n }: Share, confidence: number): Share => {
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
        : shareDifferenceInterval(
            atEffectiveSampleSize(a, confidence),
            atEffectiveSampleSize(b, confidence),
            confidence,
          ),
    effectAt: () => {
      const odds = mantelHaenszel(hasBlocks ? tables : [tableOf(a, b)])?.oddsRatio;
      return odds == null ? null : { what: 'odds-ratio', value: odds, ci: null };
    },
  };
}

/** One yes or no a unit. */
export function isYesNo(input: OutcomeInput): boolean {
  return (
    input.kind === 'proportion' &&
    readUnits(input).every(unit => (unit.outOf ?? 1) === 1 && Number.isInteger(unit.value))
  );
}

/** Of so many units in all the approximate interval is as good, and sooner there. */
const MANY_UNITS = 400;

export function singlesInterval(a: Share, b: Share, confidence: number): Interval {
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

export function shareOf(units: readonly ReadUnit[]): Share {
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
