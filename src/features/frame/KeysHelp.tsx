'use client';

import dynamic from 'next/dynamic';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Button } from '@/ui/Button';
import { areSingleKeysOn } from './single-keys';

const STEPS = ['ask', 'lay-out', 'tend', 'weigh', 'judge'] as const;
const PLACES: Readonly<Record<string, string>> = { t: '/', l: '/trials', s: '/shelf' };

const KeysDialog = dynamic(() => import('./KeysDialog').then(file => file.KeysDialog), {
  ssr: false,
});

/** The keys for what is done often. They work everywhere but in a field one writes in. */
export function KeysHelp() {
  const [isOpen, setOpen] = useState(false);
  const router = useRouter();
  const trial = /^\/trials\/[^/]+(?=\/)/.exec(usePathname())?.[0];
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isWriting(event.target)) return;
      if (!areSingleKeysOn()) return;
      const step = STEPS[Number(event.key) - 1];
      const place = PLACES[event.key.toLowerCase()];
      if (event.key === '?') setOpen(true);
      else if (step && trial) router.push(`${trial}/${step}`);
      else if (event.key === 'w' && trial) router.push(`${trial}/walk`);
      else if (place) router.push(place);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router, trial]);
  return (
    <>
      <Button data-tone="quiet" aria-label="Keys" onPress={() => setOpen(true)}>
        ?
      </Button>
      {isOpen && <KeysDialog close={() => setOpen(false)} />}
    </>
  );
}

function isWriting(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
      target.closest('[role="dialog"]') !== null)
  );
}
