'use client';

import { type ReactNode, useEffect, useState } from 'react';

/** A part further down a long page: built when the page has nothing else to do, one after another, so that no tap waits long. */
export function Later({ children }: { readonly children: ReactNode }) {
  const [isThere, setThere] = useState(false);
  useEffect(() => inTurn(() => setThere(true)), []);
  return isThere ? children : null;
}

const waiting: (() => void)[] = [];

/** @returns what takes it out of the row again */
function inTurn(build: () => void): () => void {
  waiting.push(build);
  if (waiting.length === 1) whenIdle(buildNext);
  return () => {
    const at = waiting.indexOf(build);
    if (at >= 0) waiting.splice(at, 1);
  };
}

function buildNext(): void {
  waiting.shift()?.();
  if (waiting.length > 0) whenIdle(buildNext);
}

/** Not every browser knows how to wait for its own leisure. */
function whenIdle(act: () => void): void {
  if (typeof requestIdleCallback === 'function') requestIdleCallback(act, { timeout: 200 });
  else setTimeout(act, 1);
}
