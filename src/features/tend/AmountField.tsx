'use client';

import type { DueTask } from '@/core/schedule/tasks/due-today';
import { useSystem } from '@/features/frame/use-garden-units';
import type { BoundField } from '@/ui/fields/form-fields';
import { TextField } from '@/ui/fields/TextField';
import { eachWords } from './due-words';

interface AmountFieldProps {
  readonly due: DueTask;
  readonly field: BoundField<string>;
  readonly trouble: string | undefined;
}

/** Of a bottle there is none: what it is measured in would tell what is in it. */
export function AmountField({ due, field, trouble }: AmountFieldProps) {
  const system = useSystem();
  if (!due.each && due.rule.kind !== 'water' && due.rule.kind !== 'fill') return null;
  return (
    <TextField
      label="Really given to each"
      {...field}
      trouble={trouble}
      placeholder={due.each ? `as planned, ${eachWords(due.each, system)}` : ''}
    />
  );
}
