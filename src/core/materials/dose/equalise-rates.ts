import { chosenAmount } from '@/core/materials/label/label-rate';
import type { LedgerAccount } from '@/core/materials/ledger/nutrient-ledger';
import { failure, type Result, success } from '@/core/result';
import type { CareMaterial, CareRule } from '@/core/trial/model/care-rule';
import type { Nutrient } from '@/core/trial/model/nutrient';

/** What treatments are to get equally. */
export type EqualiseBy = Nutrient | 'money' | 'dry-mass';

/** How much more or less of its product a treatment would get. */
export interface EqualisedRate {
  readonly treatmentId: string;
  readonly name: string;
  /** On every dose: 1.2 is a fifth more. */
  readonly factor: number;
  /** How far its labels let it go. */
  readonly least: number;
  readonly most: number;
}

/** Rates that are fair, and how much each treatment then gets. */
export interface EqualisedRates {
  readonly each: number;
  readonly changes: readonly EqualisedRate[];
}

/** Why they can't be made equal. */
export type EqualiseTrouble =
  | { readonly kind: 'too-few' }
  | { readonly kind: 'not-known'; readonly names: readonly string[] }
  | {
      readonly kind: 'out-of-range';
      readonly weak: string;
      readonly mostOfWeak: number;
      readonly strong: string;
      readonly leastOfStrong: number;
    };

/**
 * Finds rates at which all fed treatments give the same, each dose within its label's range; of those possible, the one that
 * changes the doses least (the geometric middle of what they give now, held within all ranges). Treatments that give none
 * stay as they are.
 */
export function equaliseRates(
  accounts: readonly LedgerAccount[],
  rules: readonly CareRule[],
  by: EqualiseBy,
): Result<EqualisedRates, EqualiseTrouble> {
  const given = (account: LedgerAccount): number | null =>
    by === 'money' ? account.cost : by === 'dry-mass' ? account.dryG : (account.nutrients[by] ?? 0);
  const unknown = accounts.filter(
    account => given(account) === null || (account.isLeast && by !== 'money' && by !== 'dry-mass'),
  );
  if (unknown.length > 0)
    return failure({ kind: 'not-known', names: unknown.map(account => account.name) });
  const fed = accounts.flatMap(account => {
    const now = given(account) ?? 0;
    return now > 0 ? [{ account, now, ...factorRange(account, rules) }] : [];
  });
  if (fed.length < 2) return failure({ kind: 'too-few' });
  const weak = fed.reduce((a, b) => (a.now * a.most < b.now * b.most ? a : b));
  const strong = fed.reduce((a, b) => (a.now * a.least > b.now * b.least ? a : b));
  const [low, high] = [strong.now * strong.least, weak.now * weak.most];
  if (low > high * (1 + 1e-9))
    return failure({
      kind: 'out-of-range',
      weak: weak.account.name,
      mostOfWeak: high,
      strong: strong.account.name,
      leastOfStrong: low,
    });
  const middle = Math.exp(fed.reduce((sum, { now }) => sum + Math.log(now), 0) / fed.length);
  const each = Math.min(high, Math.max(low, middle));
  return success({
    each,
    changes: fed.map(({ account, now, least, most }) => ({
      treatmentId: account.treatmentId,
      name: account.name,
      factor: each / now,
      least,
      most,
    })),
  });
}

/** How much all doses of a treatment may be changed together before one leaves its label's range. */
function factorRange(
  account: LedgerAccount,
  rules: readonly CareRule[],
): { readonly least: number; readonly most: number } {
  const rates = account.lines.flatMap(
    line => rules.find(rule => rule.id === line.ruleId)?.material ?? [],
  );
  return {
    // Of a dose that is weaker than the label already, nothing says that it may not stay so.
    least: Math.max(...rates.map(each => Math.min(1, each.rate.low / doseNow(each)))),
    most: Math.min(...rates.map(each => each.rate.high / doseNow(each))),
  };
}

/** What is planned now, in the label's own g or ml: a share of it, where one chose a strength of one's own. */
function doseNow({ rate, choice, strength }: CareMaterial): number {
  return chosenAmount(rate, choice) * strength;
}

/** What each of two schools can tell. */
export const EQUALISE_SCHOOLS = {
  label:
    'Each by its label: tells which product, used as sold, does better. It can’t tell whether that is its kind or its amount.',
  equal:
    'Equal amounts: tells whether the kind matters. It can’t tell how either does at the rate it is sold for.',
} as const;
