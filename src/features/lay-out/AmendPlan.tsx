'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import { fullDay } from '@/core/time/days';
import type { Amendment } from '@/core/trial/model/plan-record';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Choice } from '@/ui/fields/Choice';
import type { FieldOf } from '@/ui/fields/form-fields';
import { fieldsOf } from '@/ui/fields/form-fields';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Soft } from '@/ui/Page';

interface AmendPlanProps {
  readonly amendments: readonly Amendment[];
  /** null where the trial is closed. */
  readonly amend: ((input: unknown) => Promise<Result<unknown, TrialTrouble>>) | null;
}

const WHAT_WORDS: Readonly<Record<Amendment['what'], string>> = {
  margin: 'Smallest difference worth having',
  end: 'The end',
  rules: 'The rules',
  other: 'Something else',
};

/** What was changed after the lock, and the way to change something on record. */
export function AmendPlan({ amendments, amend }: AmendPlanProps) {
  const [form, setForm] = useState<{
    what: 'margin' | 'end' | 'other';
    to: string;
    why: string;
    by: string;
  }>({ what: 'other', to: '', why: '', by: '' });
  const { trouble, fields, isPending, run } = useTrialAction();
  const submit = (): void =>
    run(
      () => amend?.(form),
      () => {
        setForm({ ...form, to: '', why: '' });
      },
    );
  const field = fieldsOf({
    form,
    change: changes => setForm(now => ({ ...now, ...changes })),
    troubles: fields,
  });
  return (
    <Amend aria-label="Amendments">
      <h2>Changed after the lock</h2>
      {amendments.length === 0 ? (
        <Soft>Nothing. What must change can be changed on record: it shows on the verdict.</Soft>
      ) : (
        <AmendmentList amendments={amendments} />
      )}
      {amend && (
        <AmendFields
          field={field}
          form={form}
          trouble={trouble}
          submit={submit}
          isPending={isPending}
        />
      )}
    </Amend>
  );
}

interface AmendFieldsProps {
  readonly field: FieldOf<{
    what: 'margin' | 'end' | 'other';
    to: string;
    why: string;
    by: string;
  }>;
  readonly form: { what: 'margin' | 'end' | 'other'; to: string; why: string; by: string };
  readonly trouble: TrialTrouble | undefined;
  readonly submit: () => void;
  readonly isPending: boolean;
}

function AmendFields({ field, form, trouble, submit, isPending }: AmendFieldsProps) {
  return (
    <Fold title="Change something, with a reason">
      <Choice
        label="What changes"
        {...field('what')}
        direction="row"
        options={[
          { value: 'other', label: 'something done otherwise' },
          { value: 'margin', label: 'the smallest difference worth having' },
          { value: 'end', label: 'the end' },
        ]}
      />
      <TextField
        label={
          form.what === 'end'
            ? 'The new last day'
            : form.what === 'margin'
              ? 'At least, % of the control'
              : 'What is done from now on'
        }
        {...field('to')}
        type={form.what === 'end' ? 'date' : 'text'}
      />
      <TextField label="Why" {...field('why')} isLong />
      <TextField label="Who says so" {...field('by')} />
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Put it on record
        </Button>
      </Acts>
    </Fold>
  );
}

function AmendmentList({ amendments }: { readonly amendments: AmendPlanProps['amendments'] }) {
  return (
    <ol>
      {amendments.map(each => (
        <li key={each.id}>
          <b>
            {WHAT_WORDS[each.what]}
            {each.from ? `: ${each.from} → ${each.to}` : `: ${each.to}`}
          </b>{' '}
          {each.why}{' '}
          <small>
            {fullDay(each.at.slice(0, 10))}
            {each.by ? `, ${each.by}` : ''}
            {each.afterKeyOpened ? ', with values already in sight' : ''}
          </small>
        </li>
      ))}
    </ol>
  );
}

const Amend = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & ol { margin: 0; padding-left: 20px; display: grid; gap: 6px; max-width: var(--measure); }
  & small { color: var(--ink-soft); }
`;
