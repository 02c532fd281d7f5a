'use client';

import dynamic from 'next/dynamic';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Button } from '@/ui/Button';
import { isWriting } from './is-writing';
import { areSingleKeysOn } from './single-keys';

const STEPS = ['ask', 'lay-out', 'tend', 'weigh', 'judge'] as const;
const PLACES: Readonly<Record<string, string>> = { t: '/', l: '/trials', s: '/shelf' };

const KeysDialog = dynamic(() => import('./KeysDialog').then(file => file.KeysDialog), {
  ssr: false,
});

const FindDialog = dynamic(() => import('./FindDialog').then(file => file.FindDialog), {
  ssr: false,
});

/** The keys for what is done often. They work everywhere but in a field one writes in. */
export function KeysHelp() {
  const [open, setOpen] = useState<'keys' | 'find'>();
  const router = useRouter();
  const trial = /^\/trials\/[^/]+(?=\/)/.exec(usePathname())?.[0];
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || isWriting(event.target)) return;
      if (!areSingleKeysOn()) return;
      const step = STEPS[Number(event.key) - 1];
      const place = PLACES[event.key.toLowerCase()];
      if (event.key === '?') setOpen('keys');
      else if (event.key === '/') {
        event.preventDefault(); // some browsers search the page by it
        setOpen('find');
      } else if (step && trial) router.push(`${trial}/${step}`);
      else if (event.key === 'w' && trial) router.push(`${trial}/walk`);
      else if (place) router.push(place);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [router, trial]);
  return (
    <>
      <Button data-tone="quiet" onPress={() => setOpen('find')}>
        Find
      </Button>
      <Button data-tone="quiet" aria-label="Keys" onPress={() => setOpen('keys')}>
        ?
      </Button>
      {open === 'keys' && <KeysDialog close={() => setOpen(undefined)} />}
      {open === 'find' && <FindDialog close={() => setOpen(undefined)} />}
    </>
  );
}
