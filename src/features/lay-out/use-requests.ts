import { useRef, useState } from 'react';

/** Where something is wanted to stand: an absolute place, so that asking twice asks for the same. */
export interface PlaceRequest<T> {
  readonly id: string;
  readonly to: T;
}

/**
 * Sends requests one after another. Arrows come faster than answers: each builds on the last request, not on what the page
 * shows, and of several for one thing only the newest is sent.
 *
 * @param shown what the page shows; a granted request stands until this changes
 * @param send resolves to whether it was granted; a refusal drops what was built upon it
 */
export function useRequests<T>(
  shown: unknown,
  send: (request: PlaceRequest<T>) => Promise<boolean>,
): {
  readonly requested: (id: string) => T | undefined;
  readonly request: (request: PlaceRequest<T>) => void;
} {
  const waiting = useRef<readonly PlaceRequest<T>[]>([]);
  const flying = useRef<PlaceRequest<T> | null>(null);
  const granted = useRef<{ readonly request: PlaceRequest<T>; readonly shown: unknown } | null>(
    null,
  );
  const newestShown = useRef(shown);
  newestShown.current = shown;
  const [, redraw] = useState(0);
  const newest = (id: string): PlaceRequest<T> | undefined => {
    const stood =
      granted.current?.shown === newestShown.current ? granted.current?.request : undefined;
    return [...waiting.current, flying.current, stood].find(each => each?.id === id) ?? undefined;
  };
  const sendAll = async (): Promise<void> => {
    for (let next = waiting.current[0]; next; next = waiting.current[0]) {
      const { id } = next;
      waiting.current = waiting.current.slice(1);
      flying.current = next;
      const before = newestShown.current;
      if (await send(next)) granted.current = { request: next, shown: before };
      else waiting.current = waiting.current.filter(each => each.id !== id);
    }
    flying.current = null;
    redraw(times => times + 1);
  };
  return {
    requested: id => newest(id)?.to,
    request: request => {
      waiting.current = [...waiting.current.filter(each => each.id !== request.id), request];
      redraw(times => times + 1);
      if (!flying.current) void sendAll();
    },
  };
}
