import type { TrialModel } from '@/core/design/linear/trial-model';
import type { Combination, LinearModel } from '@/core/stats/linear/linear-model';
import type { EffectError } from './error-strata';

/**
 * Each treatment judged by its own units' spread: the residuals' squares in place of their mean, each over what the fit left it,
 * and Satterthwaite's degrees of freedom of that sum with the treatments' own variances. Without blocks it is Welch's t; two
 * treatments in blocks are the paired t. Bell & McCaffrey (2002), Survey Methodology 28, 169-181; Imbens & Kolesár (2016),
 * Review of Economics and Statistics 98, 701-712. Several comparisons: Hasler & Hothorn (2008), Biometrical Journal 50, 793-800.
 *
 * @returns undefined where too little is left to tell each treatment's spread by, or there are so many units that it does not matter
 */
export function ownSpreadOf(trial: TrialModel, model: LinearModel): EffectError | undefined {
  const { units } = trial;
  if (trial.wholePlot || units.length > MOST_UNITS) return undefined;
  const left = model.leverages.map(leverage => 1 - leverage);
  if (left.some(share => share < NOTHING_LEFT)) return undefined;
  const squares = model.residuals.map((residual, i) => residual ** 2 / left[i]!);
  const vectors = model.basis;
  const names = [...new Set(units.map(unit => unit.treatment))];
  const groupOf = units.map(unit => names.indexOf(unit.treatment));
  const isAlone = names.some((_, g) => groupOf.filter(each => each === g).length < 2);
  if (isAlone || model.residualDf < LEAST_DF_EACH * names.length) return undefined;
  const variances = names.map((_, g) => {
    const own = squares.filter((_square, i) => groupOf[i] === g);
    return own.reduce((sum, square) => sum + square, 0) / own.length;
  });
  const variance = groupOf.map(g => variances[g]!);
  const scaledWeights = ({ direction }: Combination): readonly number[] =>
    units.map((_, unit) =>
      vectors.reduce((sum, vector, j) => sum + vector[unit]! * direction[j]!, 0),
    );
  return {
    isOwn: true,
    covariance: (a, b) => {
      const [wa, wb] = [scaledWeights(a), scaledWeights(b)];
      return squares.reduce((sum, square, i) => sum + wa[i]! * wb[i]! * square, 0);
    },
    dfOf: combination => {
      const weights = scaledWeights(combination);
      return satterthwaite(
        weights.map((weight, i) => weight ** 2 / left[i]!),
        variance,
        vectors,
      );
    },
    judges: combination =>
      scaledWeights(combination).some((weight, i) => weight !== 0 && squares[i]! > 0),
  };
}

const MOST_UNITS = 200;
/** Of fewer to each treatment, as in a small Latin square, no treatment’s own spread can be known. */
const LEAST_DF_EACH = 2;
const NOTHING_LEFT = 1e-9;

/**
 * 2 E² / Var of the form e′De with D diagonal and residuals e = My, y of these variances: tr(MDMΣ)² / tr((MDMΣ)²).
 *
 * @param diagonal D
 * @param vectors an orthonormal basis of the fitted space: M = I − VV′
 */
function satterthwaite(
  diagonal: readonly number[],
  variance: readonly number[],
  vectors: readonly (readonly number[])[],
): number {
  const n = diagonal.length;
  const m = (i: number, j: number): number => {
    let sum = Number(i === j);
    for (const vector of vectors) sum -= vector[i]! * vector[j]!;
    return sum;
  };
  const active = diagonal.flatMap((d, i) => (d > 0 ? [i] : []));
  const rows = active.map(k => Array.from({ length: n }, (_, j) => m(k, j)));
  let [trace, square] = [0, 0];
  // tr(MDMΣ) = Σk dk Σj Mkj² σj; tr((MDMΣ)²) = Σk Σl dk dl (Σj Mkj Mlj σj)².
  for (const [a, k] of active.entries()) {
    for (const [b, l] of active.entries()) {
      if (b < a) continue;
      let across = 0;
      for (let j = 0; j < n; j++) across += rows[a]![j]! * rows[b]![j]! * variance[j]!;
      if (a === b) trace += diagonal[k]! * across;
      square += (a === b ? 1 : 2) * diagonal[k]! * diagonal[l]! * across ** 2;
    }
  }
  return square > 0 ? trace ** 2 / square : 1;
}
