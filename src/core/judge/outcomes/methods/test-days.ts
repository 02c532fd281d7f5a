import type { BlockOfTwo, OutcomeInput, ReadUnit } from '@/core/judge/question/outcome-input';
import { tQuantile } from '@/core/stats/distributions/distributions';
import {
  logRank,
  logRankByDeals,
  restrictedMeanWait,
  type Waited,
} from '@/core/stats/survival/survival';
import { differencesOf, spreadOfDifferences } from './outcome-differences';
import { both, type OutcomeTest } from './outcome-test';

export function testDays(input: OutcomeInput, blocks: readonly BlockOfTwo[]): OutcomeTest {
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
  const until = lastKnownDay([all.treated, all.control]);
  const [a, b] = [restrictedMeanWait(all.treated, until), restrictedMeanWait(all.control, until)];
  const within = isBlocked ? waitsWithinBlocks(blocks, until) : undefined;
  const { difference, se, df } = within ?? {
    difference: a.mean - b.mean,
    se: Math.hypot(a.se * fewEvents(all.treated), b.se * fewEvents(all.control)),
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

/**
 * Greenwood's variance takes the curve as it came for the true one, as a variance over n does: √(m / (m − 1)) of m that came.
 * After Kaplan & Meier (1958), JASA 53, 457-481, from memory; what it does to the intervals is measured by `npm run simulate`.
 */
function fewEvents(units: readonly Waited[]): number {
  const came = units.filter(unit => unit.hasCome).length;
  const n = came > 1 ? came : units.length;
  return n > 1 ? Math.sqrt(n / (n - 1)) : 1;
}

/**
 * The last day on which all curves are known. One on which all have come is known for good: nothing waits any more. One on
 * which some still wait is known up to the last look.
 */
function lastKnownDay(samples: readonly (readonly Waited[])[]): number {
  const last = (units: readonly Waited[]): number => Math.max(...units.map(unit => unit.days));
  const open = samples.filter(units =>
    units.some(unit => !unit.hasCome && unit.days >= last(units)),
  );
  return open.length > 0 ? Math.min(...open.map(last)) : Math.max(...samples.map(last));
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
