'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import { BLANK_CARE, type CareDraft } from '@/core/schedule/rules/care-form';
import { CARE_WORDS, CareKind, type CareRule } from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';

interface CareRuleFormProps {
  readonly saved: CareDraft | null;
  readonly shelf: readonly Product[];
  readonly treatments: readonly { readonly id: string; readonly name: string }[];
  readonly rules: readonly CareRule[];
  readonly isLocked: boolean;
  readonly save: (input: unknown, why: string) => Promise<Result<unknown, TrialTrouble>>;
  readonly close: () => void;
}

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** One rule of care: what, to whom, from when, how often, how strong. Only what its choices need is asked. */
export function CareRuleForm({
  saved,
  shelf,
  treatments,
  rules,
  isLocked,
  save,
  close,
}: CareRuleFormProps) {
  const [form, setForm] = useState<CareDraft>(saved ?? BLANK_CARE);
  const [why, setWhy] = useState('');
  const { trouble, fields, isPending, run } = useTrialAction();
  const set =
    <Key extends keyof CareDraft>(key: Key) =>
    (value: CareDraft[Key]): void =>
      setForm({ ...form, [key]: value });
  type TextKey =
    | 'name'
    | 'fromDays'
    | 'fromDay'
    | 'fromStage'
    | 'everyDays'
    | 'times'
    | 'untilDay'
    | 'untilStage'
    | 'strength'
    | 'water'
    | 'minutesEach'
    | 'washedOffByMm';
  const text = (
    key: TextKey,
    label: string,
    more: {
      readonly type?: 'date';
      readonly placeholder?: string;
      readonly inputMode?: 'numeric' | 'decimal';
    } = {},
  ) => (
    <TextField
      key={key}
      label={label}
      name={key}
      value={form[key] ?? ''}
      onChange={set(key)}
      trouble={fields[key]}
      {...more}
    />
  );
  const submit = (): void => run(() => save(form, why), close);
  const chosen = form.treatmentIds ?? [];
  const product = shelf.find(each => each.id === form.productId);
  const rate = product?.rates[Number(form.rate ?? '0')];
  return (
    <Box aria-label={saved ? 'Change a rule' : 'A new rule'}>
      <div data-fields>
        {text('name', 'What is done', { placeholder: 'weekly feed' })}
        <Select
          label="It is a"
          name="careKind"
          value={form.kind}
          onChange={set('kind')}
          options={CareKind.options.map(value => ({ value, label: CARE_WORDS[value] }))}
        />
      </div>
      <fieldset>
        <legend>To</legend>
        <label>
          <input
            type="checkbox"
            checked={chosen.length === 0}
            onChange={() => set('treatmentIds')([])}
          />{' '}
          all alike
        </label>
        {treatments.map(treatment => (
          <label key={treatment.id}>
            <input
              type="checkbox"
              checked={chosen.includes(treatment.id)}
              onChange={event =>
                set('treatmentIds')(
                  event.target.checked
                    ? [...chosen, treatment.id]
                    : chosen.filter(id => id !== treatment.id),
                )
              }
            />{' '}
            {treatment.name}
          </label>
        ))}
        {fields.treatmentIds && <b>{fields.treatmentIds}</b>}
      </fieldset>
      <div data-fields>
        <Select
          label="Begins"
          name="careFrom"
          value={form.from}
          onChange={set('from')}
          options={[
            { value: 'start', label: 'days from the start' },
            { value: 'day', label: 'on a day' },
            { value: 'stage', label: 'at a stage' },
            { value: 'after', label: 'after another' },
          ]}
        />
        {form.from === 'day' && text('fromDay', 'The day', { type: 'date' })}
        {form.from === 'stage' && text('fromStage', 'The stage', { placeholder: 'first flower' })}
        {form.from === 'after' && (
          <Select
            label="After the last"
            name="fromRule"
            value={form.fromRule ?? ''}
            onChange={set('fromRule')}
            trouble={fields.fromRule}
            options={[
              { value: '', label: '—' },
              ...rules.map(rule => ({ value: rule.id, label: rule.name })),
            ]}
          />
        )}
        {form.from !== 'day' &&
          text('fromDays', form.from === 'start' ? 'Days; below 0: before it' : 'Days after it', {
            inputMode: 'numeric',
          })}
      </div>
      <div data-fields>
        <Select
          label="How often"
          name="careRepeat"
          value={form.repeat}
          onChange={set('repeat')}
          options={[
            { value: 'once', label: 'once' },
            { value: 'every', label: 'every so many days' },
            { value: 'times', label: 'a number of times' },
            { value: 'weekdays', label: 'on days of the week' },
          ]}
        />
        {form.repeat === 'times' && text('times', 'Times', { inputMode: 'numeric' })}
        {(form.repeat === 'every' || form.repeat === 'times') &&
          text(
            'everyDays',
            form.repeat === 'times' ? 'Days between, from when it was done' : 'Days',
            { inputMode: 'numeric' },
          )}
        {form.repeat !== 'once' && form.repeat !== 'times' && (
          <Select
            label="Until"
            name="careUntil"
            value={form.until}
            onChange={set('until')}
            options={[
              { value: 'end', label: 'the end' },
              { value: 'day', label: 'a day' },
              { value: 'stage', label: 'a stage' },
            ]}
          />
        )}
        {form.until === 'day' &&
          form.repeat !== 'once' &&
          text('untilDay', 'The last day', { type: 'date' })}
        {form.until === 'stage' &&
          form.repeat !== 'once' &&
          text('untilStage', 'The stage', { placeholder: 'first flower' })}
      </div>
      {form.repeat === 'weekdays' && (
        <fieldset>
          <legend>On</legend>
          {DAYS.map((day, i) => (
            <label key={day}>
              <input
                type="checkbox"
                checked={(form.weekdays ?? []).includes(i + 1)}
                onChange={event =>
                  set('weekdays')(
                    event.target.checked
                      ? [...(form.weekdays ?? []), i + 1]
                      : (form.weekdays ?? []).filter(each => each !== i + 1),
                  )
                }
              />{' '}
              {day}
            </label>
          ))}
          {fields.weekdays && <b>{fields.weekdays}</b>}
        </fieldset>
      )}
      <div data-fields>
        <Select
          label="With"
          name="productId"
          value={form.productId ?? ''}
          onChange={set('productId')}
          trouble={fields.productId}
          options={[
            { value: '', label: 'nothing from the shelf' },
            ...shelf.map(each => ({ value: each.id, label: each.name })),
          ]}
        />
        {product && product.rates.length > 0 && (
          <Select
            label="By the rate"
            name="careRate"
            value={form.rate ?? '0'}
            onChange={set('rate')}
            trouble={fields.rate}
            options={product.rates.map((each, i) => ({ value: String(i), label: each.asWritten }))}
          />
        )}
        {rate && rate.low < rate.high && (
          <Select
            label="Of the range"
            name="careChoice"
            value={form.choice ?? 'high'}
            onChange={set('choice')}
            options={[
              { value: 'low', label: 'the least' },
              { value: 'middle', label: 'the middle' },
              { value: 'high', label: 'the most' },
            ]}
          />
        )}
        {product && text('strength', 'Strength', { placeholder: '1, 1/2, 50%' })}
        {product && text('water', 'Water to each', { placeholder: '1.5 l' })}
        {form.kind === 'spray' &&
          text('washedOffByMm', 'Rain that washes it off, mm', { inputMode: 'decimal' })}
        {text('minutesEach', 'Minutes each', { inputMode: 'decimal' })}
      </div>
      {product && product.rates.length === 0 && (
        <Soft>{product.name} has no rate yet: write its label’s rate on the shelf.</Soft>
      )}
      {isLocked && (
        <TextField
          label="Why the plan changes"
          name="why"
          value={why}
          onChange={setWhy}
          trouble={fields.why}
        />
      )}
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button data-tone="main" onPress={submit} isPending={isPending}>
          Put it in the plan
        </Button>
        <Button onPress={close}>Not now</Button>
      </Acts>
    </Box>
  );
}

const Box = styled.section`
  display: grid; gap: 14px; background: var(--slate-deep); padding: 16px;
  & > [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start; }
  & fieldset { border: 0; padding: 0; margin: 0; display: flex; flex-wrap: wrap; gap: 4px 20px; align-items: center; }
  & legend { font-weight: 600; font-size: 0.9375rem; padding: 0; }
  & fieldset label { display: flex; gap: 8px; align-items: center; min-height: 32px; }
  & fieldset b { color: var(--beet); }
  & input[type='checkbox'] { width: 18px; height: 18px; accent-color: var(--clay); }
  @media (pointer: coarse) { & fieldset label { min-height: 48px; } }
`;
