'use client';

import type { Measured } from '@/core/materials/label/analysis';
import type { DueTask } from '@/core/schedule/tasks/due-today';
import { useAmountWords } from '@/features/frame/use-garden-units';
import type { BoundField } from '@/ui/form-fields';
import { TextField } from '@/ui/TextField';

interface AmountFieldProps {
  readonly due: DueTask;
  readonly field: BoundField<string>;
  readonly trouble: string | undefined;
}

function eachWords(each: Measured, inUnits: ReturnType<typeof useAmountWords>): string {
  return each.kind === 'mass' ? inUnits(each.g, 'mass') : inUnits(each.ml, 'volume');
}

/** Of a bottle there is none: what it is measured in would tell what is in it. */
export function AmountField({ due, field, trouble }: AmountFieldProps) {
  const inUnits = useAmountWords();
  if (!due.each && due.rule.kind !== 'water' && due.rule.kind !== 'fill') return null;
  return (
    <TextField
      label="Really given to each"
      {...field}
      trouble={trouble}
      placeholder={due.each ? `as planned, ${eachWords(due.each, inUnits)}` : ''}
    />
  );
}
