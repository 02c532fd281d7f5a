'use client';

import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { type Action, useAction } from '@/ui/actions/use-action';

const NO_TROUBLES: FieldTroubles = {};
export const NO_ANSWER: TrialTrouble = { kind: 'no-answer' };

/** A change to a trial, with what is wrong by field where it was the form. */
export function useTrialAction(): Action<TrialTrouble> & { readonly fields: FieldTroubles } {
  const action = useAction(NO_ANSWER, isByField);
  const { trouble } = action;
  return { ...action, fields: trouble?.kind === 'invalid' ? trouble.fields : NO_TROUBLES };
}

const isByField = ({ kind }: TrialTrouble): boolean => kind === 'invalid';
