'use client';
import type { CareDraft } from '@/core/schedule/rules/care-draft';
import { TextField } from '@/ui/fields/TextField';
import type { CareDraftState } from './care-draft-state';

/** The lines of a rule that are written, not chosen. */
type WrittenKey = {
  readonly [Key in keyof CareDraft]-?: CareDraft[Key] extends string | undefined ? Key : never;
}[keyof CareDraft];

interface CareTextProps {
  readonly draft: CareDraftState;
  readonly of: WrittenKey;
  readonly label: string;
  readonly type?: 'date';
  readonly placeholder?: string;
  readonly inputMode?: 'numeric' | 'decimal';
}

/** One written line of a rule of care. */
export function CareText({ draft, of, ...look }: CareTextProps) {
  return (
    <TextField
      name={of}
      value={draft.form[of] ?? ''}
      onChange={value => draft.change({ [of]: value })}
      trouble={draft.troubles[of]}
      {...look}
    />
  );
}
