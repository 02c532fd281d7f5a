import { doseOf, type UnitMeasures } from '@/core/materials/dose/given-dose';
import { chosenAmount } from '@/core/materials/label/label-rate';
import { neverMix } from '@/core/materials/safety/cautions';
import type { CareMaterial } from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';

/** A task of some trial that needs something. */
export interface NeedOfTask {
  readonly material: CareMaterial;
  readonly units: number;
  readonly unit: UnitMeasures;
  /** Whose pots they are: bottle code, or treatment. */
  readonly forWhom: string;
}

/** Something to mix or weigh out once, for all that need it. */
export interface ToMix {
  readonly product: Product;
  readonly strength: number;
  /** Water to make up; null for what goes on dry. */
  readonly waterMl: number | null;
  /** Product in it, g or ml, the spare included. */
  readonly amount: number;
  readonly of: 'mass' | 'volume';
  readonly units: number;
  readonly each: readonly {
    readonly forWhom: string;
    readonly units: number;
    readonly waterMl: number | null;
    readonly amount: number;
  }[];
}

const SPARE = 0.1; // a tenth more, so that the last pot gets as much as the first

/** What to make today: the same product at the same strength is made once, for all trials. */
export function mixingList(
  needs: readonly NeedOfTask[],
  products: readonly Product[],
): readonly ToMix[] {
  const groups = new Map<string, NeedOfTask[]>();
  for (const need of needs) {
    const { productId, rate, choice, strength, waterMl, batchId } = need.material;
    const key = JSON.stringify([
      productId,
      chosenAmount(rate, choice),
      rate.of,
      rate.per,
      strength,
      waterMl === null,
      batchId,
    ]);
    groups.set(key, [...(groups.get(key) ?? []), need]);
  }
  return [...groups.values()].flatMap((own): ToMix[] => {
    const [first] = own;
    const product = products.find(each => each.id === first?.material.productId);
    if (!first || !product) return [];
    const each = own.flatMap(need => {
      const dose = doseOf(need.material, product, need.unit);
      if (!dose) return [];
      const one = dose.amount.kind === 'mass' ? dose.amount.g : dose.amount.ml;
      return [
        {
          forWhom: need.forWhom,
          units: need.units,
          waterMl: need.material.waterMl === null ? null : need.material.waterMl * need.units,
          amount: one * need.units,
        },
      ];
    });
    const water = each.reduce((sum, part) => sum + (part.waterMl ?? 0), 0);
    return [
      {
        product,
        strength: first.material.strength,
        of: first.material.rate.of,
        units: each.reduce((sum, part) => sum + part.units, 0),
        each,
        waterMl: first.material.waterMl === null ? null : water * (1 + SPARE),
        amount:
          each.reduce((sum, part) => sum + part.amount, 0) *
          (first.material.waterMl === null ? 1 : 1 + SPARE),
      },
    ];
  });
}

/** Products of one day that must not meet in a can, and why. */
export function forbiddenPairs(
  products: readonly Product[],
): readonly { readonly a: string; readonly b: string; readonly why: string }[] {
  return products.flatMap((a, i) =>
    products.slice(i + 1).flatMap(b => {
      const why = neverMix(a.hazards, b.hazards);
      return why === undefined ? [] : [{ a: a.name, b: b.name, why }];
    }),
  );
}
