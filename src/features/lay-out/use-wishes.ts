import { useRef, useState } from 'react';

/** Where something is wanted to stand: an absolute place, so that asking twice asks for the same. */
export interface PlaceRequest<T> {
  readonly id: string;
  readonly to: T;
}

/**
 * Sends wishes one after another. Arrows come faster than answers: each builds on the last wish, not on what the page
 * shows, and of several for one thing only the newest is sent.
 *
 * @param shown what the page shows; a granted wish stands until this changes
 * @param send resolves to whether it was granted; a refusal drops what was built upon it
 */
export function useRequests<T>(
  shown: unknown,
  send: (wish: PlaceRequest<T>) => Promise<boolean>,
): { readonly wished: (id: string) => T | undefined; readonly wish: (wish: PlaceRequest<T>) => void } {
  const waiting = useRef<readonly PlaceRequest<T>[]>([]);
  const flying = useRef<PlaceRequest<T> | null>(null);
  const granted = useRef<{ readonly wish: PlaceRequest<T>; readonly shown: unknown } | null>(null);
  const newestShown = useRef(shown);
  newestShown.current = shown;
  const [, redraw] = useState(0);
  const newest = (id: string): PlaceRequest<T> | undefined => {
    const stood =
      granted.current?.shown === newestShown.current ? granted.current?.wish : undefined;
    return [...waiting.current, flying.current, stood].find(each => each?.id === id) ?? undefined;
  };
  const sendAll = async (): Promise<void> => {
    for (let next = waiting.current[0]; next; next = waiting.current[0]) {
      const { id } = next;
      waiting.current = waiting.current.slice(1);
      flying.current = next;
      const before = newestShown.current;
      if (await send(next)) granted.current = { wish: next, shown: before };
      else waiting.current = waiting.current.filter(each => each.id !== id);
    }
    flying.current = null;
    redraw(times => times + 1);
  };
  return {
    wished: id => newest(id)?.to,
    wish: wish => {
      waiting.current = [...waiting.current.filter(each => each.id !== wish.id), wish];
      redraw(times => times + 1);
      if (!flying.current) void sendAll();
    },
  };
}
