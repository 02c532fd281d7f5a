import { buildTrialModel, type TrialModel } from '@/core/design/linear/trial-model';
import { isRead, type JudgeInput } from '@/core/judge/question/judge-input';
import type { LinearModel } from '@/core/stats/linear/linear-model';

const ROUNDS = 60;
const SETTLED = 1e-12;

/** One round of a generalised linear model: what the next least squares are of. One entry a unit that was read. */
export interface Round {
  readonly working: readonly number[];
  readonly weights: readonly number[];
  readonly deviance: number;
}

export interface ReweightedFit {
  readonly trial: TrialModel;
  /** Its residual mean square is Pearson's chi-square over its degrees of freedom. */
  readonly model: LinearModel;
}

/**
 * Iteratively reweighted least squares: the last round's working values and weights make the trial that is handed on.
 * Nelder & Wedderburn (1972), Journal of the Royal Statistical Society A 135, 370-384; Wedderburn (1974), Biometrika 61, 439-447.
 *
 * @param start linear predictors to begin with, one a unit that was read
 */
export function fitReweighted(
  input: JudgeInput,
  start: readonly number[],
  roundAt: (predictors: readonly number[]) => Round,
): ReweightedFit {
  let round = roundAt(start);
  let found = leastSquares(input, round.working, round.weights);
  for (let i = 0; i < ROUNDS; i++) {
    const next = roundAt(found.model.fitted);
    found = leastSquares(input, next.working, next.weights);
    const isSettled =
      Math.abs(next.deviance - round.deviance) < SETTLED * (Math.abs(next.deviance) + 1);
    round = next;
    if (isSettled && i > 0) break;
  }
  return found;
}

/** The trial with other values in the units that were read. */
export function leastSquares(
  input: JudgeInput,
  values: readonly number[],
  weights?: readonly number[],
): ReweightedFit {
  let at = -1;
  const trial = buildTrialModel({
    ...input,
    units: input.units.map(unit => {
      if (!isRead(unit)) return unit;
      at += 1;
      return { ...unit, value: values[at] ?? null, weight: weights?.[at] };
    }),
  });
  return { trial, model: trial.fit(trial.units.map(unit => unit.value)) };
}
