'use client';

import { styled } from 'styled-components';
import { derivedTerms } from '@/core/measure/library/derived-form';
import type { MeasureForm } from '@/core/measure/library/own-measure';
import type { Result } from '@/core/result';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { ActionTrouble } from '@/features/trial/ActionTrouble';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Acts, Soft } from '@/ui/Page';
import type { DeskView } from './desk-view';

interface DerivedMeasureProps {
  readonly measures: DeskView['measures'];
  readonly add: (input: MeasureForm) => Promise<Result<unknown, TrialTrouble>>;
}

const HOWS = [
  { value: 'over', label: 'divided by' },
  { value: 'less', label: 'less' },
  { value: 'part', label: 'as a share of itself and' },
  { value: 'share', label: 'so many of so many' },
] as const;

type Values = Omit<Extract<MeasureForm, { from: 'derived' }>, 'from'>;

const EMPTY: Values = { name: '', how: 'over', of: '', by: '', better: 'higher' };

/** A measure worked out of two others: by choosing both, and what is done with them. */
export function DerivedMeasure({ measures, add }: DerivedMeasureProps) {
  const { trouble, fields, isPending, run } = useTrialAction();
  const { form, change, field } = useForm(EMPTY, fields);
  const terms = [
    { value: '', label: 'choose …' },
    ...derivedTerms(measures.map(each => ({ ...each, kindKey: null }))).map(({ key, label }) => ({
      value: key,
      label,
    })),
  ];
  const put = (): void =>
    run(
      () => add({ ...form, from: 'derived' }),
      () => change(EMPTY),
    );
  return (
    <Fold title="Worked out of two others">
      <Soft>
        Harvest per plant, weight of a piece, leaves per stem: what is not known of a pot leaves it
        out, and never counts as nothing.
      </Soft>
      <Fields>
        <TextField label="What it is called" {...field('name')} placeholder="Leaves per stem" />
        <Select label="The first" {...field('of')} options={terms} />
        <Select label="What is done" {...field('how')} options={HOWS} />
        <Select label="The second" {...field('by')} options={terms} />
        <Select
          label="A gain is"
          {...field('better')}
          options={[
            { value: 'higher', label: 'more of it' },
            { value: 'lower', label: 'less of it' },
          ]}
        />
      </Fields>
      <ActionTrouble trouble={trouble} />
      <Acts>
        <Button onPress={put} isPending={isPending}>
          Work it out
        </Button>
      </Acts>
    </Fold>
  );
}

const Fields = styled.div`
  display: grid; grid-template-columns: repeat(auto-fill, minmax(220px, 1fr)); gap: 12px; align-items: start; max-width: 900px;
`;
