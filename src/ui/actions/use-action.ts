'use client';

import { useState, useTransition } from 'react';
import { useFirstWrong } from '@/ui/fields/use-first-wrong';

/** How a change ended: it was made, or what stood in its way. */
export type ActionResult<Value, Trouble> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly trouble: Trouble };

/** A change to ask the server for. One that answers nothing was not tried: a field of its form says why. */
type Change<Value, Trouble> = () => Promise<ActionResult<Value, Trouble>> | undefined;

export interface Action<Trouble> {
  /** Of the last try; undefined where it worked, or none was made. */
  readonly trouble: Trouble | undefined;
  readonly isPending: boolean;
  /** Makes a change, and does what follows where it worked. */
  readonly run: <Value>(change: Change<Value, Trouble>, then?: (value: Value) => void) => void;
  /** Makes a change. @returns whether it worked */
  readonly tryOut: <Value>(change: Change<Value, Trouble>) => Promise<boolean>;
  readonly clear: () => void;
}

const NONE_YET = {};

/**
 * A change that a screen asks the server for: whether it is on its way, and what stood in its way.
 *
 * @param lost what stands in the way where no answer comes
 * @param isByField whether fields are marked for it: the first of them is then in hand
 */
export function useAction<Trouble>(
  lost: Trouble,
  isByField: (trouble: Trouble) => boolean = () => false,
): Action<Trouble> {
  // A try that ends as the last one did is another one.
  const [last, setLast] = useState<{ readonly trouble?: Trouble | undefined }>(NONE_YET);
  const { trouble } = last;
  const [isPending, startTransition] = useTransition();
  const keepHand = useFirstWrong(
    last !== NONE_YET && (trouble === undefined || isByField(trouble)) ? last : undefined,
  );
  const make = async <Value>(change: Change<Value, Trouble>) => {
    keepHand();
    const done = await answerOf(change, lost);
    setLast(done?.ok ? NONE_YET : { trouble: done?.trouble });
    return done;
  };
  const run: Action<Trouble>['run'] = (change, then) =>
    startTransition(async () => {
      const done = await make(change);
      if (done?.ok) then?.(done.value);
    });
  const tryOut: Action<Trouble>['tryOut'] = change =>
    new Promise(answer =>
      startTransition(async () => {
        const done = await make(change);
        answer(done?.ok ?? false);
      }),
    );
  return { trouble, isPending, run, tryOut, clear: () => setLast(NONE_YET) };
}

/** Makes a change; where no answer comes, what is said then. A way to another page is no lost answer. */
export async function answerOf<Value, Trouble>(
  change: Change<Value, Trouble>,
  lost: Trouble,
): Promise<ActionResult<Value, Trouble> | undefined> {
  try {
    return await change();
  } catch (error) {
    if (isWayOn(error)) throw error;
    return { ok: false, trouble: lost };
  }
}

/** Next throws its redirects. */
function isWayOn(error: unknown): boolean {
  return (
    typeof error === 'object' &&
    error !== null &&
    'digest' in error &&
    String(error.digest).startsWith('NEXT_')
  );
}

/** A result of a change that answers only what stood in its way. */
export function resultOf<Trouble>(trouble: Trouble | undefined): ActionResult<null, Trouble> {
  return trouble === undefined ? { ok: true, value: null } : { ok: false, trouble };
}
