'use client';

import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import type { OwnFields } from '@/core/measure/library/own-fields';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';

const SCALES: readonly { readonly value: OwnFields['scale']; readonly label: string }[] = [
  { value: 'continuous', label: 'a number' },
  { value: 'count', label: 'a count' },
  { value: 'proportion', label: 'so many of so many' },
  { value: 'percent', label: 'a percentage' },
  { value: 'ordinal', label: 'steps in order' },
  { value: 'class', label: 'kinds without order' },
  { value: 'yes-no', label: 'yes or no' },
  { value: 'date', label: 'the day it came' },
  { value: 'days', label: 'how many days it took' },
  { value: 'rank', label: 'a rank' },
];
const DAYS: readonly {
  readonly value: OwnFields['days'];
  readonly label: string;
}[] = [
  { value: 'mean', label: 'the mean' },
  { value: 'last', label: 'the last' },
  { value: 'total', label: 'the sum' },
  { value: 'highest', label: 'the highest' },
  { value: 'area', label: 'area under the course' },
  { value: 'change', label: 'the last less the first' },
  { value: 'rate', label: 'growth a day' },
  { value: 'on-day', label: 'the value on a day' },
];
const PARTS = [
  { value: 'averaged', label: 'the mean' },
  { value: 'added', label: 'the sum' },
  { value: 'apart', label: 'the mean, and each by itself' },
] as const;

interface OwnMeasureFieldsProps {
  readonly form: OwnFields;
  readonly change: (changes: Partial<OwnFields>) => void;
  readonly troubles: FieldTroubles;
  /** Where its values stand in a larger form: `own.`. */
  readonly path?: string;
  readonly isReadOnly?: boolean;
  /** What else is said of it. */
  readonly children?: ReactNode;
}

/** A measure that is in no library: what it is called, from where to where, and how its parts and days are put together. */
export function OwnMeasureFields({
  form,
  change,
  troubles,
  path = '',
  isReadOnly = false,
  children,
}: OwnMeasureFieldsProps) {
  const field = fieldsOf({ form, change, troubles, path, prefix: 'own', isReadOnly });
  return (
    <>
      <TextField label="Name" {...field('name')} />
      <TextField label="From where to where, and what counts" {...field('definition')} isLong />
      <Short>
        <Select label="It is" {...field('scale')} options={SCALES} />
        <TextField label="Unit" {...field('unit')} placeholder="mm, g, none" />
        {children}
        <Select label="Of several days" {...field('days')} options={DAYS} />
        {form.days === 'on-day' && (
          <TextField label="Days after the start" {...field('onDay')} inputMode="numeric" />
        )}
        <TextField label="Parts read each time" {...field('parts')} inputMode="numeric" />
        {Number(form.parts) > 1 && (
          <Select label="Of several parts" {...field('partsAre')} options={PARTS} />
        )}
      </Short>
      {(form.scale === 'ordinal' || form.scale === 'class') && (
        <TextField label="Steps, a line each, the lowest first" {...field('steps')} isLong />
      )}
    </>
  );
}

const Short = styled.div`
  display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start;
`;
