import { z } from 'zod';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { type CareAct, doneTasks, settledIds } from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { TrialData } from '@/core/trial/model/trial-data';

/** Units by their codes, as pages know them; null: all that were meant. */
export const Codes = z
  .array(z.string().max(8))
  .min(1, 'Tick at least one.')
  .max(500)
  .nullable()
  .default(null);

export function unitIdsOf(
  { units }: TrialData,
  codes: readonly string[] | null,
): CareAct['unitIds'] {
  return codes === null
    ? null
    : units.filter(unit => codes.includes(unit.code)).map(unit => unit.id);
}

export function unitsTrouble(
  codes: readonly string[] | null,
  { unitIds, note }: Pick<CareAct, 'unitIds' | 'note'>,
): FieldTroubles | undefined {
  if (codes === null || unitIds === null) return undefined;
  if (unitIds.length !== new Set(codes).size)
    return { codes: 'Choose among the codes of this trial.' };
  return note.length < 3
    ? { note: 'Not all got it: say why. It will stand on the verdict.' }
    : undefined;
}

/** Whether these are just those that had not got a step yet: then nothing is left uneven. */
export function isRest(
  { care, units }: TrialData,
  rule: CareRule,
  { nth, unitIds }: Pick<CareAct, 'nth' | 'unitIds'>,
): boolean {
  const [before] = doneTasks(care.acts.filter(act => act.ruleId === rule.id && act.nth === nth));
  const settled = before && settledIds(before);
  if (!settled || unitIds === null) return false;
  return units
    .filter(unit => rule.treatmentIds.length === 0 || rule.treatmentIds.includes(unit.treatmentId))
    .every(unit => settled.includes(unit.id) !== unitIds.includes(unit.id));
}
