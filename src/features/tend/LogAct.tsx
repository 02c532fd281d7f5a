'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import { CARE_WORDS, CareKind } from '@/core/trial/model/care-rule';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { PickUnits } from '@/features/bench/PickUnits';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import type { FieldOf } from '@/ui/form-fields';
import { Acts } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { useForm } from '@/ui/use-form';

const SOME = 'some units';

interface LogActProps {
  readonly treatments: readonly { readonly id: string; readonly name: string }[];
  readonly codes: readonly string[];
  readonly unitWord: string;
  readonly today: string;
  readonly log: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

interface LogActValues {
  readonly name: string;
  readonly kind: CareKind;
  readonly to: string;
  readonly doneOn: string;
  readonly note: string;
}

/** Something that was done and not planned: to all, a treatment or single units; what not all got wants a reason. */
export function LogAct({ treatments, codes, unitWord, today, log }: LogActProps) {
  const [some, setSomeCodes] = useState<readonly string[]>([]);
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, change, field } = useForm<LogActValues>(
    { name: '', kind: 'other', to: '', doneOn: today, note: '' },
    fields,
  );
  const { name, kind, to, doneOn, note } = form;
  const submit = (): void =>
    run(
      () =>
        log({
          name,
          kind,
          treatmentIds: to === '' || to === SOME ? [] : [to],
          codes: to === SOME ? some : null,
          doneOn,
          note,
        }),
      () => {
        change({ name: '' });
        change({ note: '' });
        setSomeCodes([]);
      },
    );
  return (
    <Box>
      <summary>Something was done that was not planned</summary>
      <ActFields field={field} treatments={treatments} codes={codes} unitWord={unitWord} />
      {to === SOME && (
        <PickUnits codes={codes} chosen={some} choose={setSomeCodes} trouble={fields.codes} />
      )}
      <TextField label="Why" {...field('note')} />
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={submit} isPending={isPending}>
          Put it in the log
        </Button>
      </Acts>
    </Box>
  );
}

interface ActFieldsProps {
  readonly field: FieldOf<LogActValues>;
  readonly treatments: LogActProps['treatments'];
  readonly codes: LogActProps['codes'];
  readonly unitWord: LogActProps['unitWord'];
}

function ActFields({ field, treatments, codes, unitWord }: ActFieldsProps) {
  return (
    <div data-fields>
      <TextField label="What" {...field('name')} placeholder="tied in, hail cover on" />
      <Select
        label="It was"
        {...field('kind')}
        options={CareKind.options.map(value => ({ value, label: CARE_WORDS[value] }))}
      />
      <Select
        label="To whom"
        {...field('to')}
        options={[
          { value: '', label: 'all alike' },
          ...treatments.map(treatment => ({
            value: treatment.id,
            label: `only ${treatment.name}`,
          })),
          ...(codes.length === 0
            ? []
            : [{ value: SOME, label: `only some ${pluralOf(unitWord)}` }]),
        ]}
      />
      <TextField label="On" {...field('doneOn')} type="date" />
    </div>
  );
}

const Box = styled.details`
  & > summary { cursor: pointer; font-weight: 600; width: fit-content; padding: 4px 0; }
  &[open] > * + * { margin-top: 10px; }
  & > [data-fields] { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; align-items: start; }
  @media (pointer: coarse) { & > summary { padding: 12px 0; } }
`;
