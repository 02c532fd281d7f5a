import type {
  Contrast,
  EstimableContrast,
  FactorEffect,
  Judgement,
} from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';

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
    groups: judgement.groups,
    anova: judgement.anova.map(({ term, df, ss, ms, f, p }) =>
      term === 'residual' ? { term, df, ss, ms } : { term, df, ss, ms, f, p },
    ),
    contrasts: judgement.contrasts.map(contrastJson),
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
    outcome: 'continuous',
    effects: judgement.effects.map(effectJson),
    interactions: judgement.interactions,
    adjustedMeans: judgement.adjustedMeans,
    otherScales: judgement.otherScales,
    margin: input.margin,
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

function contrastJson(contrast: Contrast): Readonly<Record<string, unknown>> {
  if (!contrast.estimable)
    return { treatment: contrast.treatment, control: contrast.control, estimable: false };
  return Object.fromEntries(CONTRAST_KEYS.map(key => [key, contrast[key]]));
}
