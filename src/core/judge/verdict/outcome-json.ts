import type { OutcomeContrast, OutcomeJudgement } from '@/core/judge/outcomes/outcome-judgement';
import type { OutcomeInput } from '@/core/judge/question/outcome-input';

/** A judgement by kind in the open shape of the judge (README, “Command line”): what a kind does not have is `null` or empty. */
export function outcomeJson(
  judgement: OutcomeJudgement,
  input: OutcomeInput,
): Readonly<Record<string, unknown>> {
  const {
    groups,
    overall,
    contrasts,
    blocks,
    call,
    best,
    mayHoldTheBest,
    headline,
    detail,
    warnings,
  } = judgement;
  const units = groups.reduce((sum, group) => sum + group.n, 0);
  return {
    kind: input.kind,
    outcome: input.kind,
    design: {
      kind: input.isPaired ? 'pairs' : blocks > 0 ? 'blocks' : 'complete-randomisation',
      units,
      subsamples: units,
      blocks,
      treatments: groups.length,
    },
    groups: groups.map(({ treatment, n, mean, sd, median, share, came }) => ({
      treatment,
      n,
      mean,
      sd,
      median,
      ...(share ? { k: share.k, of: share.of, shareCi: share.ci } : {}),
      ...(came === null ? {} : { came }),
    })),
    anova: [],
    overall,
    contrasts: contrasts.map(contrastJson),
    pairs: [],
    letters: null,
    shuffle: null,
    verdict: {
      call,
      best,
      mayHoldTheBest,
      sentence: `${headline} ${detail}`.trim(),
      unitsNeeded: null,
    },
    warnings,
    margin: input.margin,
  };
}

/** Where there is no test, nothing is put beside the gap that would make it look like a result. */
const UNTESTED = {
  method: null,
  ci: null,
  ciAdjusted: null,
  p: null,
  pAdjusted: null,
  shuffleP: null,
  effect: null,
} as const;

function contrastJson(contrast: OutcomeContrast): Readonly<Record<string, unknown>> {
  if (!contrast.estimable)
    return { treatment: contrast.treatment, control: contrast.control, estimable: false };
  const {
    treatment,
    control,
    method,
    difference,
    ci,
    ciAdjusted,
    effect,
    p,
    shuffleP,
    pAdjusted,
    call,
  } = contrast;
  const tested = { method, ci, ciAdjusted, p, pAdjusted, shuffleP, effect };
  return {
    treatment,
    control,
    estimable: true,
    difference,
    ...(call === 'no-test' ? UNTESTED : tested),
    call,
    unitsNeeded: null,
  };
}
