import type { TrialData } from '@/core/trial/model/trial-data';

/** Something that some units got and others of those meant did not. */
export interface UnevenAct {
  readonly name: string;
  readonly on: string;
  readonly codes: readonly string[];
  readonly of: number;
  readonly note: string;
}

/** Acts that not all got: by units, or logged for some treatments only. The trial's own treatments are not among them. */
export function unevenActs({
  care,
  units,
}: Pick<TrialData, 'care' | 'units'>): readonly UnevenAct[] {
  return care.acts
    .filter(act => !act.isSkipped && act.unitIds !== null)
    .map(act => {
      const rule = care.rules.find(each => each.id === act.ruleId);
      const meant = units.filter(
        unit =>
          !rule || rule.treatmentIds.length === 0 || rule.treatmentIds.includes(unit.treatmentId),
      );
      return {
        name: rule?.name ?? 'a step no longer planned',
        on: act.doneOn,
        codes: units.filter(unit => act.unitIds?.includes(unit.id)).map(unit => unit.code),
        of: meant.length,
        note: act.note,
      };
    });
}
