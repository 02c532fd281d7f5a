'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { fullDay } from '@/features/frame/days';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { fieldsOf } from '@/ui/form-fields';
import { Acts, Soft } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';

interface PredictionsProps {
  /** Who sealed one, and when; what it says stays shut. */
  readonly sealed: readonly { readonly by: string; readonly sealedAt: string }[];
  readonly treatments: readonly string[];
  /** null once something was weighed: then it is no guess any more. */
  readonly predict: ((input: unknown) => Promise<Result<unknown, TrialTrouble>>) | null;
}

/** Who expects what, sealed until the verdict. */
export function Predictions({ sealed, treatments, predict }: PredictionsProps) {
  const [form, setForm] = useState({ by: '', expects: '', why: '' });
  const { trouble, fields, isPending, run } = useTrialAction();
  const submit = (): void =>
    run(
      () => predict?.(form),
      () => {
        setForm({ by: '', expects: '', why: '' });
      },
    );
  const field = fieldsOf({
    form,
    change: changes => setForm({ ...form, ...changes }),
    troubles: fields,
  });
  return (
    <Guesses aria-label="Predictions">
      <h2>What do you expect?</h2>
      {sealed.length === 0 ? (
        <Soft>
          Nobody has said yet. A surprise is one only if it was written down before; it opens with
          the verdict.
        </Soft>
      ) : (
        <Soft>
          Sealed until the verdict:{' '}
          {sealed.map(each => `${each.by} (${fullDay(each.sealedAt.slice(0, 10))})`).join(', ')}.
        </Soft>
      )}
      {predict && (
        <div>
          <TextField label="Who" {...field('by')} />
          <Select
            label="What will do best"
            {...field('expects')}
            options={[
              { value: '', label: 'no difference that matters' },
              ...treatments.map(name => ({ value: name, label: name })),
            ]}
          />
          <TextField label="Why" {...field('why')} />
          <ActionTrouble trouble={trouble} />
          <Acts>
            <Button onPress={submit} isPending={isPending}>
              Seal it
            </Button>
          </Acts>
        </div>
      )}
    </Guesses>
  );
}

const Guesses = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & > div { display: grid; gap: 12px; }
`;
