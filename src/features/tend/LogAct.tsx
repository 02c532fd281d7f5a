'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { v7 } from 'uuid';
import type { Result } from '@/core/result';
import { withShortDays } from '@/core/time/days';
import { CARE_WORDS, CareKind } from '@/core/trial/model/care-rule';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { PickUnits } from '@/features/bench/PickUnits';
import { useSystem } from '@/features/frame/use-garden-units';
import { writerName } from '@/features/frame/writer-name';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import type { FieldOf } from '@/ui/fields/form-fields';
import { LongSelect } from '@/ui/fields/LongSelect';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

const SOME = 'some of them';

interface LogActProps {
  readonly treatments: readonly { readonly id: string; readonly name: string }[];
  readonly codes: readonly string[];
  readonly unitWord: string;
  readonly today: string;
  readonly shelf: readonly { readonly id: string; readonly name: string }[];
  readonly log: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

interface LogActValues {
  readonly name: string;
  readonly kind: CareKind;
  readonly to: string;
  readonly doneOn: string;
  readonly productId: string;
  readonly amount: string;
  readonly note: string;
}

/** Something that was done and not planned: to all, a treatment or single units; what not all got wants a reason. */
export function LogAct({ treatments, codes, unitWord, today, shelf, log }: LogActProps) {
  const [some, setSomeCodes] = useState<readonly string[]>([]);
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, change, field } = useForm<LogActValues>(
    { name: '', kind: 'other', to: '', doneOn: today, productId: '', amount: '', note: '' },
    fields,
  );
  const { to, productId, ...said } = form;
  const [id, setId] = useState(() => v7()); // the same press sent twice is one act
  const submit = (is: 'planned' | 'besides' | null): void =>
    run(
      () =>
        log({
          ...said,
          id,
          productId: productId === '' ? null : productId,
          treatmentIds: to === '' || to === SOME ? [] : [to],
          codes: to === SOME ? some : null,
          is,
          by: writerName(),
        }),
      () => {
        change({ name: '', amount: '', note: '' });
        setSomeCodes([]);
        setId(v7());
      },
    );
  return (
    <Box title="Something was done that was not planned">
      <ActFields field={field} treatments={treatments} codes={codes} unitWord={unitWord} />
      <MaterialFields field={field} shelf={shelf} hasProduct={productId !== ''} kind={form.kind} />
      {to === SOME && (
        <PickUnits codes={codes} chosen={some} choose={setSomeCodes} trouble={fields.codes} />
      )}
      <TextField label="Why" {...field('note')} />
      <ActionTrouble trouble={trouble} />
      {fields.planned && <Trouble>{withShortDays(fields.planned)}</Trouble>}
      {/* What was pressed stays in hand as it turns into the first answer. */}
      <Acts>
        <Button onPress={() => submit(fields.planned ? 'planned' : null)} isPending={isPending}>
          {fields.planned ? 'It was that task' : 'Put it in the log'}
        </Button>
        {fields.planned && (
          <Button onPress={() => submit('besides')} isPending={isPending}>
            It was done besides
          </Button>
        )}
      </Acts>
    </Box>
  );
}

interface MaterialFieldsProps extends Pick<LogActProps, 'shelf'> {
  readonly field: FieldOf<LogActValues>;
  readonly hasProduct: boolean;
  readonly kind: CareKind;
}

/** With what, and how much each got. */
function MaterialFields({ field, shelf, hasProduct, kind }: MaterialFieldsProps) {
  const system = useSystem();
  return (
    <div data-fields>
      <LongSelect
        label="With what"
        {...field('productId')}
        options={[
          { value: '', label: 'nothing from the shelf' },
          ...shelf.map(({ id, name }) => ({ value: id, label: name })),
        ]}
      />
      {(hasProduct || kind === 'water') && (
        <TextField
          label="Each got"
          {...field('amount')}
          placeholder={system === 'us' ? '1 oz, 1 tbsp, 1 qt' : '20 g, 15 ml, 0.5 l'}
        />
      )}
    </div>
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

const Box = styled(Fold)`
  & > [data-fields] { display: grid; grid-template-columns: 1fr 1fr; gap: 12px; align-items: start; }
`;
