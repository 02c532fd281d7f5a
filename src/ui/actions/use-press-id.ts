'use client';

import { useCallback, useRef } from 'react';
import { v7 } from 'uuid';

/** An id for what a form is about to make: the same however often it is pressed, another once that was made. */
export function usePressId(): { readonly current: () => string; readonly renew: () => void } {
  const id = useRef<string | null>(null);
  const current = useCallback(() => {
    id.current ??= v7();
    return id.current;
  }, []);
  const renew = useCallback(() => {
    id.current = null;
  }, []);
  return { current, renew };
}
