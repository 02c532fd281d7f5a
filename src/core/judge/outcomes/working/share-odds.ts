import { isRead, type JudgeInput } from '@/core/judge/question/judge-input';
import { fitReweighted, type ReweightedFit } from './reweighted-fit';

const HALF = 0.5;
const MOST_LOGIT = 30;

/**
 * A logistic model of shares whose variance is so many times the binomial's (quasi-binomial). Where a treatment has none or all,
 * half an item of either is given to every treatment (Haldane 1956, Annals of Human Genetics 20, 309-311).
 */
export function fitOdds(input: JudgeInput): ReweightedFit {
  const shares = sharesOf(input);
  const start = shares.map(({ k, n }) => Math.log((k + HALF) / (n - k + HALF)));
  return fitReweighted(input, start, predictors => {
    const mu = predictors.map(
      eta => 1 / (1 + Math.exp(-Math.max(-MOST_LOGIT, Math.min(MOST_LOGIT, eta)))),
    );
    return {
      weights: shares.map(({ n }, i) => n * mu[i]! * (1 - mu[i]!)),
      working: shares.map(
        ({ k, n }, i) =>
          Math.log(mu[i]! / (1 - mu[i]!)) + (k / n - mu[i]!) / (mu[i]! * (1 - mu[i]!)),
      ),
      deviance: shares.reduce(
        (sum, { k, n }, i) =>
          sum +
          (k > 0 ? k * Math.log(k / (n * mu[i]!)) : 0) +
          (k < n ? (n - k) * Math.log((n - k) / (n * (1 - mu[i]!))) : 0),
        0,
      ),
    };
  });
}

function sharesOf({ units, treatments }: JudgeInput): readonly {
  readonly k: number;
  readonly n: number;
}[] {
  const read = units.filter(isRead);
  const own = new Map(
    treatments.map(name => [name, read.filter(unit => unit.treatment === name)] as const),
  );
  const isAtEdge = [...own.values()].some(
    each =>
      each.length > 0 &&
      (each.every(unit => unit.value === 0) ||
        each.every(unit => unit.value === (unit.outOf ?? 1))),
  );
  return read.map(unit => {
    const half = isAtEdge ? HALF / (own.get(unit.treatment)?.length ?? 1) : 0;
    return { k: unit.value + half, n: (unit.outOf ?? 1) + 2 * half };
  });
}
