'use client';

import { useEffect, useState } from 'react';

/**
 * State that outlives a reload: what was typed and not saved yet. Kept in this browser alone, under its key.
 *
 * @param read what stored data come to today: an older shape is filled up, what has no shape at all is dropped (undefined)
 */
export function useDraft<Draft>(
  key: string,
  initial: Draft,
  read: (stored: unknown) => Draft | undefined,
): readonly [Draft, (next: Draft) => void, () => void] {
  const [draft, setDraft] = useState(initial);
  useEffect(() => {
    // Read after the first paint: the server knows nothing of this browser's drafts.
    const stored = read(readStored(key));
    if (stored !== undefined) setDraft(stored);
  }, [key, read]);
  const keep = (next: Draft): void => {
    setDraft(next);
    writeStored(key, JSON.stringify(next));
  };
  return [draft, keep, () => writeStored(key, null)];
}

function readStored(key: string): unknown {
  try {
    return JSON.parse(window.localStorage.getItem(key) ?? 'null');
  } catch {
    return null; // storage shut off by the browser, or a text that is no JSON: there is no draft
  }
}

function writeStored(key: string, text: string | null): void {
  try {
    if (text === null) window.localStorage.removeItem(key);
    else window.localStorage.setItem(key, text);
  } catch {
    // A browser without storage still takes entries; it only can't keep what was not saved.
  }
}
