import { packsToBuy } from '@/core/materials/ledger/money';
import type { LedgerAccount } from '@/core/materials/ledger/nutrient-ledger';
import type { Product } from '@/core/trial/model/product';

/** What to have in the shed before the season. */
export interface ToBuy {
  readonly product: string;
  /** For all units over the season, a tenth to spare not included. */
  readonly need: number;
  readonly of: 'mass' | 'volume';
  /** Whole packs with a tenth to spare: running out half way gives one treatment another batch. Null where the pack is not known. */
  readonly packs: number | null;
  readonly price: number | null;
}

/** Totals over all treatments. @param unitsOf how many units each treatment has */
export function shoppingList(
  accounts: readonly LedgerAccount[],
  products: readonly Product[],
  unitsOf: (treatmentId: string) => number,
): readonly ToBuy[] {
  const needs = new Map<string, { need: number; of: 'mass' | 'volume' }>();
  for (const account of accounts) {
    for (const line of account.lines) {
      const known = needs.get(`${line.product} ${line.of}`)?.need ?? 0;
      needs.set(`${line.product} ${line.of}`, {
        need: known + line.amount * unitsOf(account.treatmentId),
        of: line.of,
      });
    }
  }
  return [...needs].flatMap(([key, { need, of }]): ToBuy[] => {
    const product = products.find(each => `${each.name} ${of}` === key);
    if (!product) return [];
    const inPack =
      product.pack === null
        ? null
        : product.pack.of === of
          ? need
          : product.densityGPerMl === null
            ? null
            : of === 'volume'
              ? need * product.densityGPerMl
              : need / product.densityGPerMl;
    const packs =
      inPack === null || product.pack === null ? null : packsToBuy(inPack, product.pack.amount);
    return [
      {
        product: product.name,
        need,
        of,
        packs,
        price:
          packs === null || product.pack === null || product.pack.price === null
            ? null
            : packs * product.pack.price,
      },
    ];
  });
}
