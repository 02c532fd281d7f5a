'use client';

import dynamic from 'next/dynamic';
import { useState, useSyncExternalStore } from 'react';
import { Button } from '@/ui/Button';
import { Soft } from '@/ui/Page';
import { PanelBoundary } from '@/ui/PanelBoundary';
import { loadAskName } from './load-ask-name';
import { onNewName, storedName } from './writer-name';

const AskName = dynamic(loadAskName, { ssr: false });

/** Who writes things down here: asked once in a browser, then a line with a way to change it. */
export function WriterName() {
  const name = useSyncExternalStore(onNewName, storedName, () => '');
  const [isAsking, setAsking] = useState(false);
  if (name === null || isAsking)
    return (
      <PanelBoundary what="Your name">
        <AskName name={name ?? ''} onKept={() => setAsking(false)} />
      </PanelBoundary>
    );
  return (
    <Soft>
      {name === '' ? (
        'Written down without a name.'
      ) : (
        <>
          Written down as <b>{name}</b>.
        </>
      )}{' '}
      <Button data-tone="quiet" onPress={() => setAsking(true)}>
        {name === '' ? 'Say who writes' : 'Somebody else writes'}
      </Button>
    </Soft>
  );
}
