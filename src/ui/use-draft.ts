'use client';

import { useEffect, useState } from 'react';

/**
 * State that outlives a reload: what was typed and not saved yet. Kept in this browser alone, under its key.
 *
 * @param isDraft whether stored data still has the right shape; what has not is dropped
 */
export function useDraft<Draft>(
  key: string,
  initial: Draft,
  isDraft: (stored: unknown) => stored is Draft,
): readonly [Draft, (next: Draft) => void, () => void] {
  const [draft, setDraft] = useState(initial);
  useEffect(() => {
    // Read after the first paint: the server knows nothing of this browser's drafts.
    const stored = readStored(key);
    if (isDraft(stored)) setDraft(stored);
  }, [key, isDraft]);
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
