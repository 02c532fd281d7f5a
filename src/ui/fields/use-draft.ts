'use client';

import { useLayoutEffect, useRef, useState } from 'react';

/** What is kept from now on, or how it comes of what is kept by then. */
type Next<Draft> = Draft | ((now: Draft) => Draft);

/**
 * State that outlives a reload: what was typed and not saved yet. Kept in this browser alone, under its key.
 *
 * @param read what stored data come to today: an older shape is filled up, what has no shape at all is dropped (undefined)
 */
export function useDraft<Draft extends string | object>(
  key: string,
  initial: Draft,
  read: (stored: unknown) => Draft | undefined,
): readonly [Draft, (next: Next<Draft>) => void, () => void] {
  const [draft, setDraft] = useState(initial);
  const latest = useRef(initial);
  const set = (next: Draft): void => {
    latest.current = next;
    setDraft(next);
  };
  // The server knows nothing of this browser's drafts. Before the fields take over what was typed into them meanwhile: that goes
  // into the draft, not over it.
  useLayoutEffect(() => {
    const stored = read(readStored(key));
    if (stored === undefined) return;
    latest.current = stored;
    setDraft(stored);
  }, [key, read]);
  const keep = (next: Next<Draft>): void => {
    set(typeof next === 'function' ? next(latest.current) : next);
    writeStored(key, JSON.stringify(latest.current));
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
