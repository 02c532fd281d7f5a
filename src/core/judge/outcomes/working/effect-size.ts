import type { Effect } from '@/core/judge/outcomes/judgement';
import { isYesNo, type JudgeInput, type ReadUnit } from '@/core/judge/question/judge-input';
import { blocksOfTwo } from '@/core/judge/question/strata';
import { chanceOfLarger } from '@/core/stats/categorical/rank-tests';
import { mantelHaenszel } from '@/core/stats/categorical/two-by-two';
import { tQuantile, tTwoSidedP } from '@/core/stats/distributions/distributions';
import { dot } from '@/core/stats/linear/orthonormal-basis';
import { logRank } from '@/core/stats/survival/survival';
import { chanceInterval } from './chance-of-larger';
import { LOG_SCALE } from './log-scale';
import type { Compared, Reach } from './natural-scale';
import type { ReweightedFit } from './reweighted-fit';
import { fitOdds } from './share-odds';
import { waitedOf } from './waits';
import { shareOf, tableOf } from './yes-no-scale';

/** How large a difference is on the scale that its outcome's literature reads; null of means, which have their own. */
export function effectOf(compared: Compared, reach: Reach): Effect | null {
  switch (compared.input.outcome) {
    case 'continuous':
      return null;
    case 'count':
      return rateRatio(compared, reach);
    case 'proportion':
      return isYesNo(compared.input) ? oddsOfTables(compared) : oddsRatio(compared, reach);
    case 'ordinal':
      return chance(compared, reach);
    case 'time':
      return hazardRatio(compared);
  }
}

function rateRatio({ difference, ...compared }: Compared, { covariance, critical }: Reach): Effect {
  const half = critical * Math.sqrt(covariance(difference, difference));
  return {
    what: 'rate-ratio',
    value: 1 + (LOG_SCALE.percent({ ...compared, difference }) ?? 0) / 100,
    ci: [Math.exp(difference.estimate - half), Math.exp(difference.estimate + half)],
  };
}

const FITTED = new WeakMap<JudgeInput, ReweightedFit>();

/** One model serves all comparisons of a trial. */
function oddsOf(input: JudgeInput): ReweightedFit {
  const known = FITTED.get(input) ?? fitOdds(input);
  FITTED.set(input, known);
  return known;
}

/** By the quasi-binomial model of all treatments, with Pearson's spread, so much wider as all comparisons together ask. */
function oddsRatio({ input, treated, controls }: Compared, { critical, df }: Reach): Effect | null {
  const { trial, model } = oddsOf(input);
  const difference = trial.combinationOf(model, [
    ...treated.map(name => [name, 1 / treated.length] as const),
    ...controls.map(name => [name, -1 / controls.length] as const),
  ]);
  if (!difference || model.residualDf < 1) return null;
  const ms = model.residualSs / model.residualDf;
  const se = Math.sqrt(ms * dot(difference.direction, difference.direction));
  // As sure as the critical value on its own degrees of freedom makes it.
  const share = 1 - tTwoSidedP(critical, df) / 2;
  const half = tQuantile(share, model.residualDf) * se;
  const value = Math.exp(difference.estimate);
  return {
    what: 'odds-ratio',
    value,
    ci: se > 0 ? [value * Math.exp(-half), value * Math.exp(half)] : null,
  };
}

function oddsOfTables({ input, treated, controls }: Compared): Effect | null {
  const blocks = blocksOfTwo(input, treated, controls);
  const odds = mantelHaenszel(
    blocks.map(block => tableOf(shareOf(block.treated), shareOf(block.control))),
  )?.oddsRatio;
  return odds == null ? null : { what: 'odds-ratio', value: odds, ci: null };
}

function chance({ input, treated, controls }: Compared, { critical, df }: Reach): Effect {
  const samples = blocksOfTwo(input, treated, controls).map(block => ({
    treated: valuesOf(block.treated),
    control: valuesOf(block.control),
  }));
  const value = chanceOfLarger(samples);
  const [only] = samples;
  return {
    what: 'chance-of-larger',
    value,
    ci:
      samples.length === 1 && only
        ? chanceInterval(only.treated, only.control, value, 1 - tTwoSidedP(critical, df))
        : null,
  };
}

function valuesOf(units: readonly ReadUnit[]): readonly number[] {
  return units.map(unit => unit.value);
}

function hazardRatio({ input, treated, controls }: Compared): Effect | null {
  const ratio = logRank(
    blocksOfTwo(input, treated, controls).map(block => ({
      treated: waitedOf(block.treated),
      control: waitedOf(block.control),
    })),
  )?.hazardRatio;
  return ratio == null ? null : { what: 'hazard-ratio', value: ratio, ci: null };
}
