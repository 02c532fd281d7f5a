import { buildTrialModel, type TrialModel } from '@/core/design/linear/trial-model';
import { isYesNo, type JudgeInput } from '@/core/judge/question/judge-input';
import type { LinearModel } from '@/core/stats/linear/linear-model';
import { fitRates } from './count-rates';
import { effortsOf, figures, scoresOfRatios } from './figures';
import { IDENTITY_SCALE } from './identity-scale';
import { LOG_SCALE } from './log-scale';
import type { NaturalScale } from './natural-scale';
import { RANK_SCALE, withinBlockRanks } from './rank-scale';
import { logRankUnits, pseudoWaits } from './waits';
import { withoutPercent } from './without-percent';
import { YES_NO_SCALE } from './yes-no-scale';

/** A trial on the scale that its outcome's model is linear on, with the way back to what one reads. */
export interface WorkingTrial {
  readonly trial: TrialModel;
  readonly model: LinearModel;
  readonly scale: NaturalScale;
  /** A spread that these readings can't fall below, as a mean square of the model; 0 where there is none. */
  readonly leastSpread: number;
  /** Whether its units' figures are quotients of their own upper and lower figures. */
  readonly isOfQuotients?: boolean;
}

/** One value a unit: the input's units, some of them without any. */
export type UnitFigures = readonly (number | null)[];

/** What differs from outcome to outcome, in one place. */
interface OutcomeModel {
  readonly working: (input: JudgeInput) => WorkingTrial;
  /** What the shuffles move. */
  readonly scores: (input: JudgeInput) => UnitFigures;
}

const MODELS: Readonly<Record<JudgeInput['outcome'], OutcomeModel>> = {
  continuous: {
    working: input => {
      const efforts = effortsOf(input);
      return {
        ...linear(input, figures(input), IDENTITY_SCALE, efforts),
        isOfQuotients: efforts !== undefined,
      };
    },
    scores: scoresOfRatios,
  },
  count: {
    working: input => ({ ...fitRates(input), scale: LOG_SCALE }),
    scores: figures,
  },
  proportion: {
    working: input =>
      isYesNo(input)
        ? // How far such shares differ by chance is known, though all answer alike.
          { ...linear(input, figures(input), YES_NO_SCALE), leastSpread: Number.EPSILON }
        : linear(
            input,
            figures(input),
            withoutPercent(IDENTITY_SCALE),
            input.units.map(unit => unit.outOf ?? 1),
          ),
    scores: figures,
  },
  ordinal: {
    working: input => linear(input, withinBlockRanks(input), RANK_SCALE),
    scores: input => withinBlockRanks(input),
  },
  time: {
    working: input => linear(input, pseudoWaits(input), withoutPercent(IDENTITY_SCALE)),
    scores: logRankUnits,
  },
};

export function workingTrialOf(input: JudgeInput): WorkingTrial {
  return MODELS[input.outcome].working(input);
}

/** The trial with what the shuffles move in place of what was read. */
export function scoredTrialOf(input: JudgeInput): TrialModel {
  return buildTrialModel(withValues(input, MODELS[input.outcome].scores(input)));
}

function linear(
  input: JudgeInput,
  values: UnitFigures,
  scale: NaturalScale,
  weights?: readonly number[],
): WorkingTrial {
  const trial = buildTrialModel(withValues(input, values, weights));
  return { trial, scale, leastSpread: 0, model: trial.fit(trial.units.map(unit => unit.value)) };
}

/** The same trial with other values. */
export function withValues(
  input: JudgeInput,
  values: UnitFigures,
  weights?: readonly number[],
): JudgeInput {
  return {
    ...input,
    units: input.units.map((unit, i) => ({
      ...unit,
      value: values[i] ?? null,
      weight: weights?.[i],
    })),
  };
}
