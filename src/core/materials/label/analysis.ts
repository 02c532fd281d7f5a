import { failure, type Result, success } from '@/core/result';
import type { Analysis } from '@/core/trial/model/analysis';
import type { Nutrient, NutrientAmounts } from '@/core/trial/model/nutrient';
import { ELEMENT_IN } from './nutrient';

/** Why three numbers are no analysis. */
export type GradeTrouble =
  | { readonly kind: 'not-a-grade'; readonly read: string }
  | { readonly kind: 'over-100'; readonly read: string; readonly sum: number };

/** Reads the three numbers on a pack: `12-4-8`, `4-1.3-6.6`, `N 4 P 1,3 K 6,6`, `0 – 10 – 10`. */
export function parseGrade(
  written: string,
): Result<readonly [number, number, number], GradeTrouble> {
  const read = written.trim().slice(0, 60);
  const numbers =
    /^(?:npk|n)?\s*[:=]?\s*(\d+(?:[.,]\d+)?)\s*%?\s*[-–—:/+\s]\s*(?:p(?:2o5)?\s*[:=]?\s*)?(\d+(?:[.,]\d+)?)\s*%?\s*[-–—:/+\s]\s*(?:k(?:2o)?\s*[:=]?\s*)?(\d+(?:[.,]\d+)?)\s*%?$/i.exec(
      read,
    );
  if (!numbers) return failure({ kind: 'not-a-grade', read });
  const [n = 0, p = 0, k = 0] = numbers.slice(1).map(number => Number(number.replace(',', '.')));
  const sum = n + p + k;
  return sum > 100 ? failure({ kind: 'over-100', read, sum }) : success([n, p, k]);
}

export function gradeSentence(trouble: GradeTrouble): string {
  return trouble.kind === 'over-100'
    ? `${trouble.read} makes ${Number(trouble.sum.toFixed(2))}%: a pack can’t hold more than 100%.`
    : `“${trouble.read}” is not three numbers. Write them as on the pack: 12-4-8.`;
}

/** Grams of each element in 100 g, or in 100 ml where the label counts by volume. */
export function elementsOf({ basis, n, p, k, others }: Analysis): NutrientAmounts {
  const isOxide = basis === 'oxide';
  return {
    n,
    p: isOxide ? p * ELEMENT_IN.p2o5 : p,
    k: isOxide ? k * ELEMENT_IN.k2o : k,
    ...others,
  };
}

/** N, P2O5 and K2O of an analysis, in the same 100. */
export function oxidesOf(analysis: Analysis): {
  readonly n: number;
  readonly p2o5: number;
  readonly k2o: number;
} {
  const { n = 0, p = 0, k = 0 } = elementsOf(analysis);
  return { n, p2o5: p / ELEMENT_IN.p2o5, k2o: k / ELEMENT_IN.k2o };
}

/** An amount of a product: as it was measured out. */
export type Measured =
  | { readonly kind: 'mass'; readonly g: number }
  | { readonly kind: 'volume'; readonly ml: number };

/** A product's density is needed to go from spoons to grams, and nobody said it. */
export interface NeedsDensity {
  readonly kind: 'needs-density';
}

/** Grams of each element in an amount of product. */
export function nutrientsIn(
  amount: Measured,
  analysis: Analysis,
  densityGPerMl: number | null,
): Result<NutrientAmounts, NeedsDensity> {
  const hundreds =
    analysis.per === 'w/w' ? gramsOf(amount, densityGPerMl) : millilitresOf(amount, densityGPerMl);
  if (hundreds === undefined) return failure({ kind: 'needs-density' });
  const elements = elementsOf(analysis);
  return success(
    Object.fromEntries(
      Object.entries(elements).map(([nutrient, percent]) => [nutrient, (percent * hundreds) / 100]),
    ),
  );
}

/** @returns undefined where the density is needed and not known */
export function gramsOf(amount: Measured, densityGPerMl: number | null): number | undefined {
  if (amount.kind === 'mass') return amount.g;
  return densityGPerMl === null ? undefined : amount.ml * densityGPerMl;
}

/** @returns undefined where the density is needed and not known */
export function millilitresOf(amount: Measured, densityGPerMl: number | null): number | undefined {
  if (amount.kind === 'volume') return amount.ml;
  return densityGPerMl === null ? undefined : amount.g / densityGPerMl;
}

/** Why no amount of B gives what A gives. */
export type EqualTrouble =
  | NeedsDensity
  | { readonly kind: 'has-none'; readonly which: 'a' | 'b'; readonly nutrient: Nutrient };

/** A product as far as its nutrients go. */
export interface Nutritive {
  readonly analysis: Analysis;
  readonly densityGPerMl: number | null;
}

/** How much of B holds as much of a nutrient as an amount of A. In the kind that A was measured in, where the density allows; otherwise in the kind that B's label counts by. */
export function equalAmount(
  amount: Measured,
  a: Nutritive,
  b: Nutritive,
  by: Nutrient,
): Result<Measured, EqualTrouble> {
  const given = nutrientsIn(amount, a.analysis, a.densityGPerMl);
  if (!given.ok) return given;
  const wanted = given.value[by] ?? 0;
  if (wanted === 0) return failure({ kind: 'has-none', which: 'a', nutrient: by });
  return amountHolding(wanted, b, by, amount.kind);
}

/** How much of a product holds so many grams of a nutrient. */
export function amountHolding(
  wantedG: number,
  { analysis, densityGPerMl }: Nutritive,
  by: Nutrient,
  inKind: Measured['kind'],
): Result<Measured, EqualTrouble> {
  const share = (elementsOf(analysis)[by] ?? 0) / 100;
  if (share === 0) return failure({ kind: 'has-none', which: 'b', nutrient: by });
  const counted: Measured =
    analysis.per === 'w/w'
      ? { kind: 'mass', g: wantedG / share }
      : { kind: 'volume', ml: wantedG / share };
  const [g, ml] = [gramsOf(counted, densityGPerMl), millilitresOf(counted, densityGPerMl)];
  if (inKind === 'mass' && g !== undefined) return success({ kind: 'mass', g });
  if (inKind === 'volume' && ml !== undefined) return success({ kind: 'volume', ml });
  return success(counted);
}
