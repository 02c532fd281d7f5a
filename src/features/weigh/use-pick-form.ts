'use client';

import { useState } from 'react';
import type { MassStyle } from '@/core/quantity/print-quantity';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { Pick } from '@/core/trial/model/pick';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { draftOf, EMPTY_PICK, type PickDraft } from './pick-draft';

/** The form of one pick, new or changed, and what was wrong with it. */
export function usePickForm(style: MassStyle) {
  const [draft, setDraft] = useState<PickDraft>(EMPTY_PICK);
  const [editing, setEditing] = useState<Pick | null>(null);
  const [trouble, setTrouble] = useState<TrialTrouble>();
  const fields: FieldTroubles = trouble?.kind === 'invalid' ? trouble.fields : {};
  return {
    draft,
    setDraft,
    editing,
    fields,
    sentence: trouble && trouble.kind !== 'invalid' ? trialSentence(trouble) : null,
    setTrouble,
    /** Begins a new pick. */
    begin: (next: PickDraft): void => {
      setEditing(null);
      setDraft(next);
    },
    /** Takes an old pick back into the form. */
    reopen: (pick: Pick): void => {
      setEditing(pick);
      setTrouble(undefined);
      setDraft(draftOf(pick, style));
    },
  };
}
