import type { Treatment } from '@/core/trial/model/treatment';
import type { TrialRules } from '@/core/trial/model/trial';
import type { AgreedComparison } from './judge-input';

/** What the question is about, where that was agreed on and stands on either side; treatments that are no longer there drop out. */
export function agreedComparisonOf(
  { askedOne, askedOther, askedOneWith, askedOtherWith }: AskedRules,
  treatments: readonly Pick<Treatment, 'name'>[],
): AgreedComparison | undefined {
  const known = new Set(treatments.map(treatment => treatment.name));
  const sideOf = (names: readonly string[]): readonly string[] =>
    [...new Set(names)].filter(name => known.has(name));
  const one = sideOf([askedOne, ...askedOneWith]);
  const other = sideOf([askedOther, ...askedOtherWith]).filter(name => !one.includes(name));
  return one.length > 0 && other.length > 0 ? { one, other } : undefined;
}

type AskedRules = Pick<TrialRules, 'askedOne' | 'askedOther' | 'askedOneWith' | 'askedOtherWith'>;
