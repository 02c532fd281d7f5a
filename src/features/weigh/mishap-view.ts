import type { Decision } from '@/core/trial/model/incident';
import type { TrialData } from '@/core/trial/model/trial-data';

/** A mishap as the page shows it: by code, never by treatment. */
export interface MishapView {
  readonly id: string;
  readonly code: string;
  readonly on: string;
  readonly what: string;
  readonly why: string;
  readonly by: string;
  readonly decision: Decision;
  readonly isByTreatment: boolean;
  readonly isAfterKey: boolean;
}

export const DECISION_WORDS: Readonly<Record<Decision, string>> = {
  keep: 'It stays in',
  'leave-out': 'Left out altogether',
  'leave-out-from': 'Left out from that day on',
  replace: 'A spare stands in from that day',
  'start-anew': 'All cut back; what was before does not count',
};

export function mishapsOf({ incidents, units }: TrialData): readonly MishapView[] {
  return incidents
    .map(({ id, unitId, happenedOn, what, why, by, decision, byTreatment, afterKeyOpened }) => ({
      id,
      code: units.find(unit => unit.id === unitId)?.code ?? '',
      on: happenedOn,
      what,
      why,
      by,
      decision,
      isByTreatment: byTreatment === 'yes',
      isAfterKey: afterKeyOpened,
    }))
    .sort((a, b) => (a.on < b.on ? 1 : -1));
}
