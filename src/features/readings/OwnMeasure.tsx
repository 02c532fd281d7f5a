'use client';

import { styled } from 'styled-components';
import { BLANK_OWN, type OwnFields } from '@/core/measure/library/own-fields';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { Button } from '@/ui/Button';
import { fieldsOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { Acts } from '@/ui/Page';
import { OwnMeasureFields } from './OwnMeasureFields';

/** A measure of one's own as it is added beside the main one. */
export interface OwnMeasureForm extends OwnFields {
  readonly from: 'own';
  readonly better: 'higher' | 'lower';
}

export const BLANK_MEASURE_FORM: OwnMeasureForm = { ...BLANK_OWN, from: 'own', better: 'higher' };

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

/** A measure of the gardener's own, read beside the main one. */
export function OwnMeasure({ form, change, troubles, isPending, read, close }: OwnMeasureProps) {
  const field = fieldsOf({ form, change, troubles, prefix: 'own' });
  return (
    <Own aria-label="A measure of your own">
      <OwnMeasureFields form={form} change={change} troubles={troubles}>
        <Select label="Better is" {...field('better')} options={DIRECTIONS} />
      </OwnMeasureFields>
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
`;
