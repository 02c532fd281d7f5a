import type { CareDraft } from '@/core/schedule/rules/care-draft';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';

/** A rule of care as it is being written. */
export interface CareDraftState {
  readonly form: CareDraft;
  readonly change: (changes: Partial<CareDraft>) => void;
  readonly troubles: FieldTroubles;
}
