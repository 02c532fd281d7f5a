import { type CareAct, isOtherPart } from '@/core/trial/model/care-plan';
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
  return wholeActs(care.acts)
    .filter(act => !act.isSkipped && act.unitIds !== null)
    .flatMap((act): UnevenAct[] => {
      const rule = care.rules.find(each => each.id === act.ruleId);
      const meant = units.filter(
        unit =>
          !rule || rule.treatmentIds.length === 0 || rule.treatmentIds.includes(unit.treatmentId),
      );
      const got = units.filter(unit => act.unitIds?.includes(unit.id));
      // Several may have done one step together.
      if (meant.every(unit => got.includes(unit))) return [];
      return [
        {
          name: rule?.name ?? 'a task no longer planned',
          on: act.doneOn,
          codes: got.map(unit => unit.code),
          of: meant.length,
          note: act.note,
        },
      ];
    });
}

/** Parts of one step that were done one by one, as one act of all their units. */
function wholeActs(acts: readonly CareAct[]): readonly CareAct[] {
  const whole: CareAct[] = [];
  for (const act of acts) {
    const i = whole.findLastIndex(
      each => each.ruleId === act.ruleId && each.nth === act.nth && isOtherPart(each, act),
    );
    const before = whole[i];
    if (before)
      whole[i] = {
        ...before,
        unitIds: [...(before.unitIds ?? []), ...(act.unitIds ?? [])],
        note: [...new Set([before.note, act.note])].filter(note => note !== '').join(' '),
      };
    else whole.push(act);
  }
  return whole;
}
