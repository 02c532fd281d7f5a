import { type Measured, nutrientsIn } from '@/core/materials/label/analysis';
import { type DoseTarget, doseFor } from '@/core/materials/label/label-rate';
import { costOfShare } from '@/core/materials/ledger/money';
import type { CareMaterial } from '@/core/trial/model/care-rule';
import type { NutrientAmounts } from '@/core/trial/model/nutrient';
import type { Product } from '@/core/trial/model/product';

/** What one unit gets once. */
export interface GivenDose {
  readonly amount: Measured;
  /** Null where the product's analysis, or the density it takes, is not known. */
  readonly nutrients: NutrientAmounts | null;
  /** Of the share used; null where pack or price is not known. */
  readonly cost: number | null;
}

/** A unit as far as rates count by it. */
export type UnitMeasures = Pick<DoseTarget, 'areaM2' | 'mixMl' | 'plants' | 'rowMm'>;

/** Works out one dose; undefined where the unit lacks what the rate counts by. */
export function doseOf(
  material: CareMaterial,
  product: Product,
  unit: UnitMeasures,
): GivenDose | undefined {
  const dose = doseFor(material.rate, material.choice, material.strength, {
    ...unit,
    ...(material.waterMl === null ? {} : { waterMl: material.waterMl }),
  });
  return dose === undefined ? undefined : costOfDose({ kind: material.rate.of, dose }, product);
}

/** What an amount of a product holds and costs. */
export function costOfDose(
  { kind, dose }: { readonly kind: Measured['kind']; readonly dose: number },
  product: Product,
): GivenDose {
  const amount: Measured = kind === 'mass' ? { kind, g: dose } : { kind, ml: dose };
  const nutrients = product.analysis
    ? nutrientsIn(amount, product.analysis, product.densityGPerMl)
    : undefined;
  return {
    amount,
    nutrients: nutrients?.ok
      ? nutrients.value
      : product.form === 'home-made' || product.analysis
        ? null
        : {},
    cost: costOf(kind, dose, product),
  };
}

function costOf(
  kind: Measured['kind'],
  dose: number,
  { pack, densityGPerMl }: Product,
): number | null {
  if (!pack || pack.price === null) return null;
  if (pack.of === kind) return costOfShare(dose, pack.amount, pack.price);
  if (densityGPerMl === null) return null;
  return costOfShare(
    kind === 'volume' ? dose * densityGPerMl : dose / densityGPerMl,
    pack.amount,
    pack.price,
  );
}
