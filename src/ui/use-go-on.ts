'use client';

import { useCallback, useEffect, useRef } from 'react';

/**
 * For a part of the page that an act takes away, and the focus with it: whoever reads with ears or keys goes on where the page now
 * begins, at its heading with `data-goes-on`.
 *
 * @returns to be called with the act
 */
export function useGoOn(): () => void {
  const isActing = useRef(false);
  useEffect(
    () => () => {
      if (isActing.current) requestAnimationFrame(() => requestAnimationFrame(goToHeading));
    },
    [],
  );
  return useCallback(() => {
    isActing.current = true;
  }, []);
}

function goToHeading(): void {
  const active = document.activeElement;
  if (active !== null && active !== document.body) return;
  const heading = document.querySelector<HTMLElement>('main [data-goes-on]');
  if (!heading) return;
  heading.tabIndex = -1;
  heading.focus();
}
