'use client';

import { useEffect } from 'react';

/** Alt and a letter, since the hands are in a field all the time: M for a mishap of the pot in hand, N for its note. */
export function useWeighKeys(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!event.altKey || event.ctrlKey || event.metaKey) return;
      const [mishaps, note] = [
        document.querySelector<HTMLElement>('section[aria-label="Mishaps"] [data-fold]'),
        document.querySelector<HTMLInputElement>('input[name="note"]'),
      ];
      if (event.code === 'KeyM' && mishaps) {
        mishaps.querySelector<HTMLButtonElement>('[aria-expanded="false"]')?.click();
        requestAnimationFrame(() => mishaps.querySelector('select')?.focus()); // once it is unfolded
      } else if (event.code === 'KeyN' && note) note.focus();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
