import { isRead, type JudgeInput } from '@/core/judge/question/judge-input';
import { fitReweighted, leastSquares, type ReweightedFit } from './reweighted-fit';

const LEAST = 1e-9;
const MOST_LOG = 50;

/**
 * A log-linear model of counts whose variance is so many times their mean, with the logarithm of what was looked at as offset
 * (quasi-Poisson). In a split plot, whose two spreads want plain least squares, of logarithms.
 */
export function fitRates(input: JudgeInput): ReweightedFit & { readonly leastSpread: number } {
  const { counts, isEmpty } = countsOf(input);
  // What counts nothing shows no spread: as much as Poisson's is certain.
  return { ...fitOf(input, counts), leastSpread: Number(isEmpty) };
}

function fitOf(input: JudgeInput, counts: readonly Count[]): ReweightedFit {
  if (input.units.some(unit => unit.wholePlot !== undefined))
    return leastSquares(
      input,
      counts.map(({ count, effort }) => Math.log((count + HALF) / effort)),
    );
  const start = counts.map(({ count, effort }) => Math.log((count + HALF / 5) / effort));
  return fitReweighted(input, start, predictors => {
    const mu = predictors.map((eta, i) =>
      Math.max(LEAST, (counts[i]?.effort ?? 1) * Math.exp(Math.min(MOST_LOG, eta))),
    );
    return {
      weights: mu,
      working: counts.map(
        ({ count, effort }, i) => Math.log(mu[i]! / effort) + (count - mu[i]!) / mu[i]!,
      ),
      deviance: devianceOf(counts, mu),
    };
  });
}

const HALF = 0.5;

interface Count {
  readonly count: number;
  readonly effort: number;
}

/**
 * The counts of the units read. Where a treatment counts nothing at all its logarithm is not known: then half a count is given
 * to every treatment, shared out to its units (as Haldane 1956, Annals of Human Genetics 20, 309-311, does for the odds ratio).
 */
function countsOf({ units, treatments }: JudgeInput): {
  readonly counts: readonly Count[];
  readonly isEmpty: boolean;
} {
  const read = units.filter(isRead);
  const own = new Map(
    treatments.map(name => [name, read.filter(unit => unit.treatment === name)] as const),
  );
  const isEmpty = [...own.values()].some(
    each => each.length > 0 && each.every(unit => unit.value === 0),
  );
  const counts = read.map(unit => ({
    count: unit.value + (isEmpty ? HALF / (own.get(unit.treatment)?.length ?? 1) : 0),
    effort: unit.effort ?? 1,
  }));
  return { counts, isEmpty };
}

/** Half of Poisson's deviance. */
function devianceOf(counts: readonly Count[], mu: readonly number[]): number {
  return counts.reduce(
    (sum, { count }, i) =>
      sum + (count > 0 ? count * Math.log(count / mu[i]!) : 0) - (count - mu[i]!),
    0,
  );
}
