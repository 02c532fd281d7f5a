import type { TrialModel } from '@/core/design/linear/trial-model';
import { fUpperTail } from '@/core/stats/distributions/distributions';
import type { Covariance } from '@/core/stats/linear/fieller';
import {
  type AnovaRow,
  type Combination,
  fitLinearModel,
  type LinearModel,
} from '@/core/stats/linear/linear-model';
import { dot } from '@/core/stats/linear/orthonormal-basis';

/** What the residuals give to judge comparisons by: one mean square, or one for each size of unit. */
export interface EffectError {
  readonly covariance: Covariance;
  /** Degrees of freedom that stand behind a combination's variance. */
  readonly dfOf: (combination: Combination) => number;
  /** Whether a combination has a spread of its own kind to be judged by. */
  readonly judges: (combination: Combination) => boolean;
  /** Each treatment's own: then every comparison has degrees of freedom of its own, and one joint t on those. */
  readonly isOwn?: boolean;
}

/** The analysis of variance with the spread that goes with it; no spread where nothing is left to judge by. */
export interface ErrorAnalysis {
  readonly anova: readonly AnovaRow[];
  readonly spread: EffectError | undefined;
}

// Readings whose residual spread is below this share of their size were copied or rounded to one step.
const NO_SPREAD = 1e-10;

/**
 * The spread of a model: of its residuals, or in a split plot of whole plots and of the units within them.
 *
 * @param least a mean square that the spread can't fall below
 */
export function errorAnalysisOf(trial: TrialModel, model: LinearModel, least = 0): ErrorAnalysis {
  const size = trial.units.reduce((sum, unit) => sum + unit.value * unit.value, 0);
  const isFlat = (ss: number): boolean => ss <= NO_SPREAD * NO_SPREAD * size;
  if (trial.wholePlot) return splitPlotSpread(trial, trial.wholePlot, model, isFlat);
  if (model.residualDf < 1 || (least === 0 && isFlat(model.residualSs)))
    return { anova: model.anova, spread: undefined };
  const ms = Math.max(least, model.residualSs / model.residualDf);
  return {
    anova: model.anova,
    spread: {
      covariance: (a, b) => ms * dot(a.direction, b.direction),
      dfOf: () => model.residualDf,
      judges: () => true,
    },
  };
}

// A comparison within whole plots carries none of their spread; what is computed of it then is rounding.
const WHOLE_SHARE = 1e-9;

/** The two sizes of unit of a split plot, as far as the layout decides them. */
export interface ErrorStrata {
  /** The model with every whole plot in it: what it leaves is the spread of units within whole plots. */
  readonly inner: LinearModel;
  readonly wholePlots: number;
  readonly wholeDf: number;
  /** n₀: units a whole plot counts for in the expected whole-plot mean square, σ² + n₀σ²(whole plots). */
  readonly perWhole: number;
  /** Sums of a combination's weights over each whole plot. */
  readonly sumsOf: (combination: Combination) => readonly number[];
  /** What whole plots carry of the covariance of two combinations, over the whole-plot mean square. */
  readonly wholePart: (a: Combination, b: Combination) => number;
  /** Whether a combination carries none of the whole plots' spread. */
  readonly isWithin: (combination: Combination) => boolean;
}

/** Strata of a split plot; n₀ after Henderson (1953), Biometrics 9, 226-252, method 3. */
export function errorStrataOf(
  trial: TrialModel,
  wholePlot: readonly string[],
  model: LinearModel,
): ErrorStrata {
  const wholes = [...new Set(wholePlot)].map(name => wholePlot.map(each => Number(each === name)));
  const inner = fitLinearModel(
    trial.units.map(unit => unit.value),
    [
      ...trial.terms.slice(0, trial.wholeTerms),
      { name: WHOLE_PLOTS, columns: wholes.slice(1) },
      ...trial.terms.slice(trial.wholeTerms),
    ],
    trial.weights,
  );
  const wholeDf = model.residualDf - inner.residualDf;
  const factor = wholes.reduce((sum, column) => {
    const coordinates = model.coordinatesOf(column);
    return sum + dot(column, column) - dot(coordinates, coordinates);
  }, 0);
  const perWhole = wholeDf > 0 ? factor / wholeDf : 1;
  const sumsOf = (combination: Combination): readonly number[] => {
    const weights = model.weightsOf(combination);
    return wholes.map(column => dot(column, weights));
  };
  const wholePart = (a: Combination, b: Combination): number =>
    dot(sumsOf(a), sumsOf(b)) / perWhole;
  const isWithin = (combination: Combination): boolean =>
    wholePart(combination, combination) <=
    WHOLE_SHARE * dot(combination.direction, combination.direction);
  return { inner, wholePlots: wholes.length, wholeDf, perWhole, sumsOf, wholePart, isWithin };
}

/** Satterthwaite's degrees of freedom (1946), Biometrics Bulletin 2, 110-114, of a sum of two mean squares' shares. */
export function satterthwaiteDf(
  whole: number,
  wholeDf: number,
  rest: number,
  restDf: number,
): number {
  const square = whole ** 2 / wholeDf + (restDf > 0 ? rest ** 2 / restDf : 0);
  return square > 0 ? (whole + rest) ** 2 / square : wholeDf;
}

/**
 * Two strata of a split plot (Yates 1935; Cochran & Cox 1957, Experimental Designs, ch. 7). Differences are least-squares
 * ones. With W the sums of a combination's weights over whole plots, its variance is a·Ea + b·Eb, a = W·W / n₀ and
 * b = w·w − a.
 */
function splitPlotSpread(
  trial: TrialModel,
  wholePlot: readonly string[],
  model: LinearModel,
  isFlat: (ss: number) => boolean,
): ErrorAnalysis {
  const { inner, wholeDf, wholePart, isWithin } = errorStrataOf(trial, wholePlot, model);
  const wholeSs = Math.max(0, model.residualSs - inner.residualSs);
  const hasWhole = wholeDf > 0 && !isFlat(wholeSs);
  const hasInner = inner.residualDf > 0 && !isFlat(inner.residualSs);
  const ea = hasWhole ? wholeSs / wholeDf : 0;
  const eb = hasInner ? inner.residualSs / inner.residualDf : 0;
  const anova = inner.anova.map((row, i): AnovaRow => {
    if (row.term === WHOLE_PLOTS) return { ...row, f: null, p: null };
    if (i >= trial.wholeTerms || row.term === 'residual') return row;
    const f = hasWhole ? row.ms / ea : null;
    return { ...row, f, p: f === null ? null : fUpperTail(f, row.df, wholeDf) };
  });
  if (!hasWhole && !hasInner) return { anova, spread: undefined };
  const covariance = (a: Combination, b: Combination): number => {
    const whole = wholePart(a, b);
    return whole * ea + (dot(a.direction, b.direction) - whole) * eb;
  };
  return {
    anova,
    spread: {
      covariance,
      dfOf: combination => {
        if (isWithin(combination)) return inner.residualDf;
        const whole = wholePart(combination, combination) * ea;
        return satterthwaiteDf(
          whole,
          wholeDf,
          covariance(combination, combination) - whole,
          inner.residualDf,
        );
      },
      judges: combination =>
        isWithin(combination) ? hasInner : hasWhole && covariance(combination, combination) > 0,
    },
  };
}

/** The name of the row that whole plots have in an analysis of variance. */
export const WHOLE_PLOTS = 'whole plots';
