'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { SAME_WORDS } from '@/core/judge/after/guess-words';
import type { Result } from '@/core/result';
import { fullDay } from '@/core/time/days';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Acts, Soft } from '@/ui/Page';

interface PredictionsProps {
  /** Who sealed one, and when; what it says stays shut. */
  readonly sealed: readonly { readonly by: string; readonly sealedAt: string }[];
  readonly treatments: readonly string[];
  /** What the question compares, each in words. */
  readonly comparisons: readonly string[];
  /** What is read beside the main measure. */
  readonly otherMeasures: readonly { readonly id: string; readonly name: string }[];
  /** null once something was weighed: then it is no guess any more. */
  readonly predict: ((input: unknown) => Promise<Result<unknown, TrialTrouble>>) | null;
}

const NOTHING = { by: '', measureId: '', comparison: '', expects: '', why: '' };

/** Who expects what, sealed until the verdict. */
export function Predictions({ sealed, predict, ...choices }: PredictionsProps) {
  const [form, setForm] = useState(NOTHING);
  const { trouble, fields, isPending, run } = useTrialAction();
  const submit = (): void =>
    run(
      () => predict?.(form),
      () => setForm(NOTHING),
    );
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
          <GuessFields
            {...choices}
            form={form}
            change={changes => setForm(now => ({ ...now, ...changes }))}
            troubles={fields}
          />
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

type GuessFieldsProps = Parameters<typeof fieldsOf<typeof NOTHING>>[0] &
  Pick<PredictionsProps, 'treatments' | 'comparisons' | 'otherMeasures'>;

function GuessFields({ treatments, comparisons, otherMeasures, ...state }: GuessFieldsProps) {
  const { form, change } = state;
  const field = fieldsOf(state);
  const answers =
    form.comparison === ''
      ? treatments.map(name => ({ value: name, label: name }))
      : [
          { value: 'more', label: 'more' },
          { value: 'less', label: 'less' },
        ];
  return (
    <>
      <TextField label="Who" {...field('by')} />
      {otherMeasures.length > 0 && (
        <Select
          label="Of what is measured"
          {...field('measureId')}
          options={[
            { value: '', label: 'the main measure' },
            ...otherMeasures.map(({ id, name }) => ({ value: id, label: name.toLowerCase() })),
          ]}
        />
      )}
      {comparisons.length > 0 && (
        <Select
          label="The guess is about"
          {...field('comparison')}
          onChange={comparison => change({ comparison, expects: '' })}
          options={[
            { value: '', label: 'which does best' },
            ...comparisons.map(words => ({ value: words, label: words })),
          ]}
        />
      )}
      <Select
        label={form.comparison === '' ? 'What will do best' : 'The first of the two gives'}
        {...field('expects')}
        options={[{ value: '', label: SAME_WORDS }, ...answers]}
      />
      <TextField label="Why" {...field('why')} />
    </>
  );
}

const Guesses = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & > div { display: grid; gap: 12px; }
`;
