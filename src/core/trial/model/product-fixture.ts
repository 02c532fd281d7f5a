import { v7 } from 'uuid';
import type { Analysis } from './analysis';
import { LabelRate, type RatePer } from './label-rate';
import { Product } from './product';

/** A product for tests: a liquid of 5-5-5, a litre at 4.00, density 1.1. */
export function productFixture(changes: Partial<Product> = {}): Product {
  return Product.parse({
    id: v7(),
    name: 'Tidewrack feed',
    form: 'liquid',
    analysis: analysisFixture(5, 5, 5),
    densityGPerMl: 1.1,
    activePercent: null,
    pack: { of: 'volume', amount: 1000, price: 4 },
    rates: [],
    releaseMonths: null,
    hazards: ['concentrate'],
    waitingDays: null,
    reentryHours: null,
    mostApplications: null,
    keepBelowC: null,
    keepsMonths: null,
    batches: [],
    note: '',
    ...changes,
  });
}

export function analysisFixture(
  n: number,
  p: number,
  k: number,
  changes: Partial<Analysis> = {},
): Analysis {
  return { basis: 'oxide', per: 'w/w', n, p, k, others: {}, ...changes };
}

export function rateFixture(
  low: number,
  high: number,
  per: RatePer = { kind: 'water', ml: 4500 },
  of: LabelRate['of'] = 'volume',
): LabelRate {
  return LabelRate.parse({ of, low, high, per, asWritten: 'as on the label' });
}
