'use client';

import { NO_ANSWER } from './no-answer';
import { type Action, resultOf, useAction } from './use-action';

type Fields = Readonly<Record<string, string>>;
const NONE: Fields = {};

/** A change of which the server answers only what is wrong, by field; what belongs to no field stands under `form`. */
export function useFieldAction(): Action<Fields> & {
  readonly fields: Fields;
  /** Makes it. @returns whether it worked */
  readonly send: (change: () => Promise<Fields | undefined>) => Promise<boolean>;
} {
  const action = useAction<Fields>({ form: NO_ANSWER }, isByField);
  return {
    ...action,
    fields: action.trouble ?? NONE,
    send: change => action.tryOut(async () => resultOf(await change())),
  };
}

const isByField = (fields: Fields): boolean => Object.keys(fields).some(field => field !== 'form');
