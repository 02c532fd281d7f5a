import { amountHolding, type Nutritive } from '@/core/materials/label/analysis';
import { ELEMENT_IN } from '@/core/materials/label/nutrient';
import { failure, type Result, success } from '@/core/result';
import type { LabelRate } from '@/core/trial/model/label-rate';
import type { Nutrient } from '@/core/trial/model/nutrient';
import type { RateTrouble } from './rate-trouble';

/** A nutrient as a rate names it, and grams of the element in a gram of what it names: 0.4364 of P2O5. */
interface NamedNutrient {
  readonly nutrient: Nutrient;
  readonly elementShare: number;
}

const NAMES: readonly (readonly [pattern: string, named: NamedNutrient])[] = [
  ['n|nitrogen', { nutrient: 'n', elementShare: 1 }],
  ['p2o5|p₂o₅|phosphates?', { nutrient: 'p', elementShare: ELEMENT_IN.p2o5 }],
  ['k2o|k₂o|potash', { nutrient: 'k', elementShare: ELEMENT_IN.k2o }],
  ['elemental (?:p|phosphorus)', { nutrient: 'p', elementShare: 1 }],
  ['elemental (?:k|potassium)', { nutrient: 'k', elementShare: 1 }],
  ['mg|magnesium', { nutrient: 'mg', elementShare: 1 }],
];

/** Takes a nutrient off an amount: `1 lb N`, `10 g of actual nitrogen`, `50 g potash`. Undefined where it names none. */
export function takeNutrient(
  amount: string,
): { readonly amount: string; readonly named: NamedNutrient } | undefined {
  for (const [pattern, named] of NAMES) {
    const found = new RegExp(
      `^(.*\\d\\s*(?:[a-zµ]+)?)\\s+(?:of\\s+)?(?:(?:actual|pure)\\s+)?(?:${pattern})$`,
      'i',
    ).exec(amount);
    if (found?.[1]) return { amount: found[1], named };
  }
  return undefined;
}

/** Packs print phosphorus and potassium as oxides, and people leave the oxide out: undefined where none of them is named. */
export function oxideOrElement(asWritten: string, amount: string): RateTrouble | undefined {
  const found = /\b(?:actual\s+|pure\s+)?(p|phosphorus|k|potassium)$/i.exec(amount);
  if (!found?.[1] || /elemental/i.test(amount)) return undefined;
  const isPhosphorus = found[1].toLowerCase().startsWith('p') && !/^potassium$/i.test(found[1]);
  const said = isPhosphorus ? ['P2O5', 'elemental P'] : ['K2O', 'elemental K'];
  const before = amount.slice(0, found.index);
  return {
    kind: 'oxide-or-element',
    read: asWritten,
    choices: said.map(each => asWritten.replace(amount, `${before}${each}`)),
  };
}

/** The amount of product that holds so much of a nutrient. */
export function productAmount(
  amount: Pick<LabelRate, 'of' | 'low' | 'high'>,
  { nutrient, elementShare }: NamedNutrient,
  product: Nutritive | undefined,
  read: string,
): Result<Pick<LabelRate, 'of' | 'low' | 'high'>, RateTrouble> {
  if (!product) return failure({ kind: 'needs-analysis', read });
  if (amount.of !== 'mass') return failure({ kind: 'needs-density', read });
  const [low, high] = [amount.low, amount.high].map(g =>
    // As the label counts: of a bottle in millilitres.
    amountHolding(
      g * elementShare,
      product,
      nutrient,
      product.analysis.per === 'w/v' ? 'volume' : 'mass',
    ),
  );
  if (!low?.ok || !high?.ok) return failure({ kind: 'holds-none', read });
  return low.value.kind === 'mass' && high.value.kind === 'mass'
    ? success({ of: 'mass', low: low.value.g, high: high.value.g })
    : low.value.kind === 'volume' && high.value.kind === 'volume'
      ? success({ of: 'volume', low: low.value.ml, high: high.value.ml })
      : failure({ kind: 'needs-density', read });
}
