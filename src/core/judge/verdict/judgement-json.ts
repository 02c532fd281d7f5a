import type {
  Contrast,
  EstimableContrast,
  FactorEffect,
  Judgement,
  TreatmentGroup,
} from '@/core/judge/outcomes/judgement';
import { isYesNo, type JudgeInput, type Outcome } from '@/core/judge/question/judge-input';

/**
 * The judgement in the open shape that programs outside read (README, “Command line”). `null` stands for what is not
 * defined; a comparison the layout can't make has `estimable: false` and no numbers.
 */
export function judgementJson(
  judgement: Judgement,
  input: JudgeInput,
): Readonly<Record<string, unknown>> {
  const { verdict, shuffle } = judgement;
  return {
    design: judgement.design,
    groups: judgement.groups.map(group => groupJson(group, input.outcome)),
    anova: judgement.anova.map(({ term, df, ss, ms, f, p }) =>
      term === 'residual' ? { term, df, ss, ms } : { term, df, ss, ms, f, p },
    ),
    contrasts: judgement.contrasts.map(contrast => contrastJson(contrast, methodOf(input))),
    pairs: judgement.pairs,
    letters: judgement.letters,
    shuffle: shuffle && {
      exact: shuffle.exact,
      arrangements: shuffle.arrangements,
      seed: shuffle.seed,
    },
    verdict: {
      call: verdict.call,
      best: verdict.best,
      mayHoldTheBest: verdict.mayHoldTheBest,
      sentence: [verdict.headline, verdict.detail].filter(part => part !== '').join(' '),
      unitsNeeded: verdict.unitsNeeded,
    },
    warnings: judgement.warnings,
    outcome: input.outcome,
    overall: judgement.overall,
    effects: judgement.effects.map(effectJson),
    interactions: judgement.interactions,
    comparisons: judgement.agreed ? [contrastJson(judgement.agreed, methodOf(input))] : [],
    trend: judgement.trend && {
      ...contrastJson(judgement.trend, methodOf(input)),
      from: judgement.trend.from,
      to: judgement.trend.to,
    },
    levelsOff: judgement.levelsOff,
    unitSets: [{ set: 'all-read', units: judgement.design.units }],
    adjustedMeans: judgement.adjustedMeans,
    otherScales: judgement.otherScales,
    margin: input.margin,
  };
}

/** Steps and days have no mean that does them justice. */
function groupJson(
  { treatment, n, mean, sd, median, share, came }: TreatmentGroup,
  outcome: Outcome,
): Readonly<Record<string, unknown>> {
  const hasMean = outcome !== 'ordinal' && outcome !== 'time';
  return {
    treatment,
    n,
    mean: hasMean ? mean : null,
    sd: hasMean ? sd : null,
    median,
    ...(share ? { k: share.k, of: share.of, shareCi: share.ci } : {}),
    ...(came === null ? {} : { came }),
  };
}

const CONTRAST_KEYS = [
  'treatment',
  'control',
  'estimable',
  'difference',
  'se',
  'df',
  't',
  'p',
  'ci',
  'pAdjusted',
  'ciAdjusted',
  'percent',
  'percentCi',
  'percentCiAdjusted',
  'effect',
  'shuffleP',
  'shufflePAdjusted',
  'call',
  'unitsNeeded',
] as const satisfies readonly (keyof EstimableContrast)[];

const EFFECT_KEYS = [
  'factor',
  'level',
  'against',
  'within',
  'difference',
  'se',
  'df',
  'p',
  'ci',
  'pAdjusted',
  'ciAdjusted',
  'percent',
  'percentCiAdjusted',
  'call',
] as const satisfies readonly (keyof FactorEffect)[];

function effectJson(effect: FactorEffect): Readonly<Record<string, unknown>> {
  return Object.fromEntries(EFFECT_KEYS.map(key => [key, effect[key]]));
}

/** Which sum stands behind a p. */
function methodOf(input: JudgeInput): string {
  switch (input.outcome) {
    case 'continuous':
      return 'least-squares';
    case 'count':
      return 'quasi-poisson';
    case 'proportion':
      return isYesNo(input) ? 'deals-of-units' : 'shares-of-units';
    case 'ordinal':
      return 'aligned-ranks';
    case 'time':
      return 'restricted-mean-wait';
  }
}

function contrastJson(contrast: Contrast, method: string): Readonly<Record<string, unknown>> {
  if (!contrast.estimable)
    return { treatment: contrast.treatment, control: contrast.control, estimable: false };
  return {
    ...Object.fromEntries(CONTRAST_KEYS.map(key => [key, contrast[key]])),
    method: contrast.p === null ? null : method,
  };
}
