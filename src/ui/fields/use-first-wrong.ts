import { useEffect, useRef } from 'react';

const WRONG = '[data-invalid] :is(input, textarea, select)';

/**
 * Once a form is refused, its first wrong field is in hand. Who went on to another field meanwhile is not called back.
 *
 * @param refused what is wrong by field, anew with each refusal; undefined where no field is
 * @returns to be called as the form is sent, while what sent it is in hand
 */
export function useFirstWrong(refused: object | undefined): () => void {
  const sentFrom = useRef<Element>(null);
  useEffect(() => {
    const from = sentFrom.current;
    sentFrom.current = null;
    if (refused && from && isStillThere(from)) showFirstWrong(from);
  }, [refused]);
  return () => {
    sentFrom.current = document.activeElement;
  };
}

function isStillThere(from: Element): boolean {
  const { activeElement, body } = document;
  const isNowhere = activeElement === body || activeElement === null;
  return activeElement === from || (isNowhere && from.isConnected);
}

function showFirstWrong(from: Element): void {
  const field = firstWrongNear(from);
  const fold = field?.closest('[hidden]')?.closest('[data-fold]');
  fold?.querySelector<HTMLElement>('[aria-expanded="false"]')?.click();
  if (fold)
    requestAnimationFrame(() => field?.focus()); // once it is unfolded
  else field?.focus();
}

/** The first in the form that was sent or, where it is none in the page's own terms, in the nearest part with a wrong one. */
function firstWrongNear(from: Element): HTMLElement | undefined {
  let part =
    from === document.body ? document.querySelector('main') : (from.closest('form') ?? from);
  while (part) {
    const field = part.querySelector<HTMLElement>(WRONG);
    if (field) return field;
    part = part.parentElement;
  }
  return undefined;
}
