'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { v7 } from 'uuid';
import type { MassStyle } from '@/core/quantity/print-quantity';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { Pick } from '@/core/trial/model/pick';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { useDraft } from '@/ui/fields/use-draft';
import { draftOf, EMPTY_PICK, type PickDraft } from './pick-draft';
import { isTyped, readTypedWeights, type TypedWeights } from './typed-weights';

/** What is typed for one unit. It stays its own: it neither goes along to the next unit nor is lost there. */
interface UnitForm {
  /** Of the entry that comes of it, so that the same press sent twice is one. */
  readonly id: string;
  readonly draft: PickDraft;
  /** The old entry that is changed, where one is. */
  readonly editing: Pick | null;
  readonly trouble: TrialTrouble | undefined;
}

const blank = (draft: PickDraft = EMPTY_PICK): UnitForm => ({
  id: v7(),
  draft,
  editing: null,
  trouble: undefined,
});

/** The forms of all units, and the one of the unit in hand. */
export function usePickForm(
  style: MassStyle,
  unitId: string,
  { trialId, today }: { readonly trialId: string; readonly today: string },
) {
  const [forms, setForms] = useState<Readonly<Record<string, UnitForm>>>({});
  const kept = useTypedWeights(forms, trialId, today);
  const untouched = useRef(new Map<string, UnitForm>());
  const formOf = (of: string): UnitForm => {
    const before = kept.byUnit[of];
    if (!forms[of] && before) return { ...blank(before.draft), id: before.id };
    const form = forms[of] ?? untouched.current.get(of) ?? blank();
    if (!forms[of]) untouched.current.set(of, form);
    return form;
  };
  const form = formOf(unitId);
  const { draft, editing, trouble } = form;
  const fields: FieldTroubles = trouble?.kind === 'invalid' ? trouble.fields : {};
  const put = (of: string, changed: (now: UnitForm) => UnitForm): void =>
    setForms(all => ({ ...all, [of]: changed(all[of] ?? formOf(of)) }));
  return {
    id: form.id,
    draft,
    editing,
    /** Anew with each try that names fields. */
    refused: trouble?.kind === 'invalid' ? trouble : undefined,
    fields,
    sentence: trouble && trouble.kind !== 'invalid' ? trialSentence(trouble) : null,
    change: (changes: Partial<PickDraft>): void =>
      put(unitId, now => ({
        ...now,
        draft: { ...now.draft, ...changes },
        trouble: withoutQuestion(trouble),
      })),
    setTrouble: (next: TrialTrouble | undefined, of: string = unitId): void =>
      put(of, now => ({ ...now, trouble: next })),
    /** Begins a new pick of a unit; what was typed there since `sent` stays. */
    begin: (of: string, next: PickDraft = EMPTY_PICK, sent?: PickDraft): void =>
      put(of, now =>
        sent !== undefined && now.draft !== sent && now.draft !== EMPTY_PICK
          ? { ...blank(now.draft) }
          : blank(next),
      ),
    /** Takes an old pick back into the form. */
    reopen: (pick: Pick): void =>
      put(pick.unitId, () => ({ ...blank(draftOf(pick, style)), editing: pick })),
  };
}

/** What was typed and not saved outlives a reload. @returns what the browser had kept */
function useTypedWeights(
  forms: Readonly<Record<string, UnitForm>>,
  trialId: string,
  day: string,
): TypedWeights {
  const read = useMemo(() => readTypedWeights(day), [day]);
  const [kept, keep] = useDraft(`turnspit-weights-${trialId}`, { day, byUnit: {} }, read);
  // biome-ignore lint/correctness/useExhaustiveDependencies: kept anew whenever something is typed, not because it was kept
  useEffect(() => {
    const touched = Object.entries(forms);
    if (touched.length === 0) return;
    const before = Object.entries(kept.byUnit).filter(([id]) => !forms[id]);
    const typed = touched
      .filter(([, form]) => form.editing === null && isTyped(form.draft))
      .map(([id, { id: entry, draft }]) => [id, { id: entry, draft }] as const);
    keep({ day, byUnit: Object.fromEntries([...before, ...typed]) });
  }, [forms]);
  return kept;
}

/** What was asked about one weight is not asked of another. */
function withoutQuestion(trouble: TrialTrouble | undefined): TrialTrouble | undefined {
  return trouble?.kind === 'invalid' && trouble.fields.again !== undefined ? undefined : trouble;
}
