import { v7 } from 'uuid';
import type { CareAct } from './care-plan';
import type { CareRule } from './care-rule';
import type { Product } from './product';
import { productFixture, rateFixture } from './product-fixture';
import type { TrialData } from './trial-data';

/** A rule for tests: weekly from the start, to all alike, with nothing. */
export function careRuleFixture(changes: Partial<CareRule> = {}): CareRule {
  return {
    id: v7(),
    name: 'weekly feed',
    kind: 'feed',
    treatmentIds: [],
    from: { kind: 'start', days: 0 },
    repeat: { kind: 'every', days: 7 },
    until: null,
    material: null,
    washedOffByMm: null,
    minutesEach: null,
    ...changes,
  };
}

export function careActFixture(
  rule: CareRule,
  nth: number,
  doneOn: string,
  changes: Partial<CareAct> = {},
): CareAct {
  return {
    id: v7(),
    ruleId: rule.id,
    nth,
    doneOn,
    takenAt: `${doneOn}T17:00:00.000Z`,
    isSkipped: false,
    amount: null,
    batchId: null,
    unitIds: null,
    outcome: null,
    note: '',
    by: '',
    supersedes: null,
    isRemoval: false,
    ...changes,
  };
}

/** A trial whose treatments (all but the control) each get a product weekly, 20 ml in 4.5 l, a litre each. */
export function caredFixture(
  data: TrialData,
  products: readonly Product[] = data.treatments
    .slice(1)
    .map(treatment => productFixture({ name: `${treatment.name} bottle` })),
): TrialData {
  const rules = data.treatments.slice(1).map((treatment, i) =>
    careRuleFixture({
      name: `${treatment.name} weekly`,
      treatmentIds: [treatment.id],
      material: {
        productId: products[i]?.id ?? '',
        rate: rateFixture(20, 20),
        choice: 'high',
        strength: 1,
        waterMl: 1000,
        batchId: null,
      },
    }),
  );
  return {
    ...data,
    care: {
      ...data.care,
      rules,
      bottles: Object.fromEntries(
        data.treatments.map((treatment, i) => [treatment.id, ['K', 'R', 'T', 'V'][i] ?? 'W']),
      ),
    },
    products,
  };
}
