import { type ErrorStrata, satterthwaiteDf } from '@/core/judge/outcomes/spread/error-strata';
import { chiSquareDraw } from '@/core/stats/distributions/chi-square-draw';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import type { SeededRandom } from '@/core/stats/distributions/seeded-random';
import type { Covariance } from '@/core/stats/linear/fieller';
import type { Combination, LinearModel } from '@/core/stats/linear/linear-model';
import { dot } from '@/core/stats/linear/orthonormal-basis';

/** How much whole plots differ beyond their units, as a share of the units' own spread: a starting guess, no source. */
export const WHOLE_PLOT_SHARE = 0.5;

/** One made-up season: what luck adds to a combination, and the covariances that would be estimated in it. */
interface Season {
  readonly along: (combination: Combination) => number;
  readonly covariance: Covariance;
}

export interface Noise {
  readonly draw: (random: SeededRandom) => Season;
  /** Covariances as they are expected, and the degrees of freedom behind a combination's variance. */
  readonly expected: Covariance;
  readonly dfOf: (combination: Combination) => number;
}

/** @returns undefined where nothing is left to judge by */
export function noisy(
  model: LinearModel,
  strata: ErrorStrata | undefined,
  cv: number,
): Noise | undefined {
  return strata ? twoStrata(model, strata, cv) : oneStratum(model, cv);
}

function oneStratum(model: LinearModel, cv: number): Noise | undefined {
  const df = model.residualDf;
  if (df < 1) return undefined;
  const length = model.leverages.length - df;
  return {
    dfOf: () => df,
    expected: (a, b) => cv * cv * dot(a.direction, b.direction),
    draw: random => {
      const noise = Float64Array.from({ length }, () => cv * normalDraw(random));
      const ms = (cv * cv * chiSquareDraw(df, random)) / df;
      return {
        along: ({ direction }) => sumOf(direction, noise),
        covariance: (a, b) => ms * dot(a.direction, b.direction),
      };
    },
  };
}

function twoStrata(
  model: LinearModel,
  { inner, wholePlots, wholeDf, perWhole, sumsOf, wholePart, isWithin }: ErrorStrata,
  cv: number,
): Noise | undefined {
  const restDf = inner.residualDf;
  if (wholeDf < 1 || restDf < 1) return undefined;
  const length = model.leverages.length - model.residualDf;
  const wholeSd = WHOLE_PLOT_SHARE * cv;
  const [ea, eb] = [cv * cv + perWhole * wholeSd ** 2, cv * cv];
  const sums = remembered(sumsOf);
  const part = (a: Combination, b: Combination): number => dot(sums(a), sums(b)) / perWhole;
  const covarianceWith =
    (wholeMs: number, restMs: number): Covariance =>
    (a, b) => {
      const whole = part(a, b);
      return whole * wholeMs + (dot(a.direction, b.direction) - whole) * restMs;
    };
  return {
    expected: covarianceWith(ea, eb),
    dfOf: combination => {
      if (isWithin(combination)) return restDf;
      const whole = wholePart(combination, combination) * ea;
      return satterthwaiteDf(
        whole,
        wholeDf,
        covarianceWith(ea, eb)(combination, combination) - whole,
        restDf,
      );
    },
    draw: random => {
      const noise = Float64Array.from({ length }, () => cv * normalDraw(random));
      const wholes = Float64Array.from({ length: wholePlots }, () => wholeSd * normalDraw(random));
      const covariance = covarianceWith(
        (ea * chiSquareDraw(wholeDf, random)) / wholeDf,
        (eb * chiSquareDraw(restDf, random)) / restDf,
      );
      return {
        along: combination =>
          sumOf(combination.direction, noise) + sumOf(sums(combination), wholes),
        covariance,
      };
    },
  };
}

/** A combination keeps its direction from season to season: its sums are worked out once. */
function remembered(
  sumsOf: (combination: Combination) => readonly number[],
): (combination: Combination) => readonly number[] {
  const known = new WeakMap<readonly number[], readonly number[]>();
  return combination => {
    const found = known.get(combination.direction) ?? sumsOf(combination);
    known.set(combination.direction, found);
    return found;
  };
}

function sumOf(weights: readonly number[], noise: Float64Array): number {
  let sum = 0;
  for (let j = 0; j < noise.length; j++) sum += weights[j]! * noise[j]!;
  return sum;
}
