import { useEffect, useState } from 'react';
import { loadAllPanels } from './lazy-panels';

/** Whether this walk opens without a connection: kept, not kept just now, or never over this address; null while it is seen to. */
export type KeptWalk = 'kept' | 'not-kept' | 'never' | null;

const PATIENCE_MS = 60_000;

/** Has this browser keep the walk's page and all that it is made of, however one came here. */
export function useKeptWalk(): KeptWalk {
  const [kept, setKept] = useState<KeptWalk>(null);
  useEffect(() => {
    // Only in production: in development the pages change under the store's hands.
    if (process.env.NODE_ENV !== 'production') return;
    if (!('serviceWorker' in navigator)) {
      setKept('never');
      return;
    }
    let isGone = false;
    keepThisWalk()
      .catch(() => false)
      .then(isKept => {
        if (!isGone) setKept(isKept ? 'kept' : 'not-kept');
      });
    return () => {
      isGone = true;
    };
  }, []);
  return kept;
}

async function keepThisWalk(): Promise<boolean> {
  await navigator.serviceWorker.register('/sw.js');
  const { active } = await navigator.serviceWorker.ready;
  await inCharge();
  await loadAllPanels();
  const parts = performance
    .getEntriesByType('resource')
    .map(({ name }) => name)
    .filter(name => name.startsWith(`${location.origin}/_next/static/`));
  return active ? askToKeep(active, { keep: location.pathname, parts }) : false;
}

/** Until the service worker sees what this page asks for: at the first visit it takes over a moment after it started. */
function inCharge(): Promise<void> {
  const { serviceWorker } = navigator;
  if (serviceWorker.controller) return Promise.resolve();
  return new Promise(resolve => {
    const timer = setTimeout(resolve, TAKES_OVER_MS);
    serviceWorker.addEventListener(
      'controllerchange',
      () => {
        clearTimeout(timer);
        resolve();
      },
      { once: true },
    );
  });
}

const TAKES_OVER_MS = 5000;

function askToKeep(worker: ServiceWorker, asked: unknown): Promise<boolean> {
  return new Promise(resolve => {
    const { port1, port2 } = new MessageChannel();
    const timer = setTimeout(() => resolve(false), PATIENCE_MS);
    port1.onmessage = ({ data }: MessageEvent<unknown>) => {
      clearTimeout(timer);
      resolve(
        typeof data === 'object' && data !== null && 'isKept' in data && data.isKept === true,
      );
    };
    worker.postMessage(asked, [port2]);
  });
}
