'use client';

import { useEffect } from 'react';

/** Alt and a letter, since the hands are in a field all the time: M for a mishap of the pot in hand, N for its note. */
export function useWeighKeys(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!event.altKey || event.ctrlKey || event.metaKey) return;
      const [mishaps, note] = [
        document.querySelector<HTMLDetailsElement>('section[aria-label="Mishaps"] details'),
        document.querySelector<HTMLInputElement>('input[name="note"]'),
      ];
      if (event.code === 'KeyM' && mishaps) {
        mishaps.open = true;
        mishaps.querySelector<HTMLSelectElement>('select')?.focus();
      } else if (event.code === 'KeyN' && note) note.focus();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
