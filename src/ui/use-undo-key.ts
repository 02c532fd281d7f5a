'use client';

import { useEffect } from 'react';

/** Ctrl or Command and Z take back what was done last, unless words are being typed. */
export function useUndoKey(undo: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.key.toLowerCase() !== 'z')
        return;
      // In a field with words in it the key takes back typing, as it does everywhere.
      if (event.target instanceof HTMLInputElement && event.target.value !== '') return;
      event.preventDefault();
      undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo]);
}
