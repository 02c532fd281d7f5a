'use client';

import { usePathname, useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useSyncExternalStore } from 'react';

// What was asked for is kept with each entry of the browser's history: the router, still busy with the entry before after the
// way back, can write that one's address over a newer one, and leaves this alone.
interface KeptState {
  readonly asked: string;
}

const CHANGED = 'address-changed';

/** What stands in the address this moment behind its `?`. */
export function addressNow(): URLSearchParams {
  return new URLSearchParams(searchNow());
}

/** Puts something else behind the `?` without asking the server: as a new entry of the history, or in place of this one. */
export function turnTo(address: URLSearchParams, how: 'new-entry' | 'same-entry'): void {
  const kept: KeptState = { asked: `?${address}` };
  if (how === 'new-entry') window.history.pushState(kept, '', kept.asked);
  else window.history.replaceState(kept, '', kept.asked);
  window.dispatchEvent(new Event(CHANGED));
}

/** What stands in the address behind its `?`, as the page is drawn with it. */
export function useAddress(): URLSearchParams {
  const path = usePathname();
  const given = `${useSearchParams() ?? ''}`;
  const search = useSyncExternalStore(
    subscribe,
    () => (window.location.pathname === path ? `${addressNow()}` : given),
    () => given,
  );
  useEffect(() => {
    const stands = `${new URLSearchParams(window.location.search)}`;
    if (window.location.pathname === path && stands !== search && `${addressNow()}` === search)
      turnTo(new URLSearchParams(search), 'same-entry');
  });
  return useMemo(() => new URLSearchParams(search), [search]);
}

function subscribe(isChanged: () => void): () => void {
  window.addEventListener(CHANGED, isChanged);
  window.addEventListener('popstate', isChanged);
  return () => {
    window.removeEventListener(CHANGED, isChanged);
    window.removeEventListener('popstate', isChanged);
  };
}

function searchNow(): string {
  const { history, location } = window;
  return isKept(history.state) ? history.state.asked : location.search;
}

function isKept(state: unknown): state is KeptState {
  return (
    typeof state === 'object' &&
    state !== null &&
    'asked' in state &&
    typeof state.asked === 'string'
  );
}
