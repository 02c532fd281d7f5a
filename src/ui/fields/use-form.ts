'use client';

import { useState } from 'react';
import { fieldsOf } from './form-fields';

const NO_TROUBLES = {};

/** A form's values, how they change, and its fields by their keys. */
export function useForm<Form extends object>(
  initial: Form,
  troubles: Readonly<Record<string, string>> = NO_TROUBLES,
) {
  const [form, setForm] = useState(initial);
  const change = (changes: Partial<Form>): void => setForm(now => ({ ...now, ...changes }));
  return { form, change, field: fieldsOf({ form, change, troubles }) };
}
