import type { CareRule } from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import { isKept } from './seen-acts';

type Cared = Pick<TrialData, 'trial' | 'care' | 'products'>;

/**
 * A trial's care for questions of safety. While the key is shut every bottle counts as the strictest of them: whoever picks or goes
 * in is kept safe, and which pots have to wait does not tell what they got.
 */
export function asStrictest<Data extends Cared>(data: Data): Data {
  const kept = data.care.rules.filter(rule => isKept(rule, data));
  const given = kept.flatMap(
    rule => data.products.find(product => product.id === rule.material?.productId) ?? [],
  );
  const [some] = given;
  const material = kept.find(rule => rule.material?.productId === some?.id)?.material;
  if (!some || !material) return data;
  const strictest: Product = {
    ...some,
    name: 'what is in one of the bottles',
    reentryHours: most(given.map(product => product.reentryHours)),
    waitingDays: most(given.map(product => product.waitingDays)),
  };
  const rules = data.care.rules.map(
    (rule): CareRule => (kept.includes(rule) ? { ...rule, material } : rule),
  );
  return {
    ...data,
    care: { ...data.care, rules },
    products: [
      strictest,
      // By the id of the first one: it stands for all of them.
      ...data.products.filter(product => product.id !== strictest.id),
    ],
  };
}

function most(values: readonly (number | null)[]): number | null {
  return values.reduce<number | null>(
    (top, value) => (value === null ? top : Math.max(top ?? 0, value)),
    null,
  );
}
