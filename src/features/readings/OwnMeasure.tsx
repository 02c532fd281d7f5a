'use client';

import { styled } from 'styled-components';
import type { MeasureForm } from '@/core/measure/library/own-measure';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { Button } from '@/ui/Button';
import { fieldsOf } from '@/ui/form-fields';
import { Acts } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';

export type OwnMeasureForm = Extract<MeasureForm, { from: 'own' }>;

export const BLANK_MEASURE_FORM: OwnMeasureForm = {
  from: 'own',
  name: '',
  definition: '',
  scale: 'continuous',
  unit: '',
  steps: '',
  better: 'higher',
  parts: 1,
  partsAre: 'averaged',
  days: 'mean',
};
const SCALES: readonly { readonly value: OwnMeasureForm['scale']; readonly label: string }[] = [
  { value: 'continuous', label: 'a number' },
  { value: 'count', label: 'a count' },
  { value: 'proportion', label: 'so many of so many' },
  { value: 'percent', label: 'a percentage' },
  { value: 'ordinal', label: 'steps in order' },
  { value: 'class', label: 'kinds without order' },
  { value: 'yes-no', label: 'yes or no' },
  { value: 'date', label: 'the day it came' },
  { value: 'rank', label: 'a rank' },
];
const DAYS: readonly {
  readonly value: NonNullable<OwnMeasureForm['days']>;
  readonly label: string;
}[] = [
  { value: 'mean', label: 'averaged' },
  { value: 'last', label: 'the last counts' },
  { value: 'total', label: 'added up' },
  { value: 'highest', label: 'the highest counts' },
  { value: 'area', label: 'area under the course' },
  { value: 'change', label: 'the last less the first' },
  { value: 'rate', label: 'growth a day' },
];
const PARTS = [
  { value: 'averaged', label: 'averaged' },
  { value: 'added', label: 'added up' },
] as const;
const DIRECTIONS = [
  { value: 'higher', label: 'more' },
  { value: 'lower', label: 'less' },
] as const;

interface OwnMeasureProps {
  readonly form: OwnMeasureForm;
  readonly change: (changes: Partial<OwnMeasureForm>) => void;
  readonly troubles: FieldTroubles;
  readonly isPending: boolean;
  readonly read: () => void;
  readonly close: () => void;
}

/** A measure that is in no library: what it is called, from where to where, and how its days are put together. */
export function OwnMeasure({ form, change, troubles, isPending, read, close }: OwnMeasureProps) {
  const filled = {
    ...form,
    unit: form.unit ?? '',
    steps: form.steps ?? '',
    better: form.better ?? ('higher' as const),
    days: form.days ?? ('mean' as const),
    parts: String(form.parts ?? 1),
    partsAre: form.partsAre ?? ('averaged' as const),
  };
  const field = fieldsOf({ form: filled, change, troubles, prefix: 'own' });
  return (
    <Own aria-label="A measure of your own">
      <TextField label="Name" {...field('name')} />
      <TextField label="From where to where, and what counts" {...field('definition')} isLong />
      <div data-fields>
        <Select label="It is" {...field('scale')} options={SCALES} />
        <TextField label="Unit" {...field('unit')} placeholder="mm, g, none" />
        <Select label="Better is" {...field('better')} options={DIRECTIONS} />
        <Select label="Several days are" {...field('days')} options={DAYS} />
        <TextField label="Parts read each time" {...field('parts')} inputMode="numeric" />
        {Number(form.parts) > 1 && (
          <Select label="The parts are" {...field('partsAre')} options={PARTS} />
        )}
      </div>
      {(form.scale === 'ordinal' || form.scale === 'class') && (
        <TextField label="Steps, a line each, the lowest first" {...field('steps')} isLong />
      )}
      <Acts>
        <Button data-tone="main" onPress={read} isPending={isPending}>
          Read it
        </Button>
        <Button onPress={close}>Not now</Button>
      </Acts>
    </Own>
  );
}

const Own = styled.section`
  display: grid; gap: 12px; background: var(--slate-deep); padding: 16px;
  & > [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(130px, 1fr)); gap: 12px; align-items: start; }
`;
