'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import { BLANK_CARE, type CareDraft } from '@/core/schedule/rules/care-draft';
import { CARE_WORDS, CareKind, type CareRule } from '@/core/trial/model/care-rule';
import type { Product } from '@/core/trial/model/product';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { usePressId } from '@/ui/actions/use-press-id';
import { Button } from '@/ui/Button';
import { fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Ticks } from '@/ui/fields/Ticks';
import { Acts } from '@/ui/Page';
import { CareBegins, CareMaterialFields, CareRepeats } from './CareFields';
import { CareText } from './CareText';
import type { CareDraftState } from './care-draft-state';

interface CareRuleFormProps {
  readonly saved: CareDraft | null;
  readonly shelf: readonly Product[];
  readonly treatments: readonly { readonly id: string; readonly name: string }[];
  readonly rules: readonly CareRule[];
  readonly isLocked: boolean;
  readonly save: (input: unknown, why: string) => Promise<Result<unknown, TrialTrouble>>;
  readonly close: () => void;
}

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
  const draft: CareDraftState = {
    form,
    change: changes => setForm(now => ({ ...now, ...changes })),
    troubles: fields,
  };
  const field = fieldsOf(draft);
  const press = usePressId();
  const submit = (): void => run(() => save({ ...form, id: press.current() }, why), close);
  return (
    <Box aria-label={saved ? 'Change a task' : 'A new task'}>
      <div data-fields>
        <CareText draft={draft} of="name" label="What is done" placeholder="weekly feed" />
        <Select label="It is a" {...field('kind')} options={KINDS} />
      </div>
      <Ticks
        legend="To"
        none="all alike"
        options={treatments.map(({ id, name }) => ({ value: id, label: name }))}
        chosen={form.treatmentIds ?? []}
        onChange={ids => draft.change({ treatmentIds: [...ids] })}
        trouble={fields.treatmentIds}
      />
      <CareBegins draft={draft} rules={rules} />
      <CareRepeats draft={draft} />
      <CareMaterialFields draft={draft} shelf={shelf} />
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

const KINDS = CareKind.options.map(value => ({ value, label: CARE_WORDS[value] }));

const Box = styled.section`
  display: grid; gap: 14px; background: var(--slate-deep); padding: 16px;
  & > [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start; }
`;
