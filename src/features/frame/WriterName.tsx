'use client';

import { type FormEvent, useState, useSyncExternalStore } from 'react';
import { styled } from 'styled-components';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { TextLine } from '@/ui/TextLine';
import { keepName, onNewName, storedName } from './writer-name';

/** Who writes things down here: asked once in a browser, then a line with a way to change it. */
export function WriterName() {
  const name = useSyncExternalStore(onNewName, storedName, () => '');
  const [isAsking, setAsking] = useState(false);
  if (name === null || isAsking) return <Asked name={name ?? ''} onKept={() => setAsking(false)} />;
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

function Asked({ name, onKept }: { readonly name: string; readonly onKept: () => void }) {
  const [typed, setTyped] = useState(name);
  const keep = (kept: string): void => {
    keepName(kept);
    onKept();
  };
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    keep(typed);
  };
  return (
    <Asking onSubmit={submit}>
      <TextLine
        label="Who writes this down?"
        name="writer"
        value={typed}
        onChange={setTyped}
        hint="Asked once in this browser, and kept with each entry. What you share can leave names out."
      />
      <Acts>
        <Button type="submit" isDisabled={typed.trim() === ''}>
          Keep the name
        </Button>
        <Button data-tone="quiet" onPress={() => keep('')}>
          Without a name
        </Button>
      </Acts>
    </Asking>
  );
}

const Asking = styled.form`
  display: grid; gap: 8px; border-top: 1px solid var(--rule); padding-top: 12px; max-width: var(--measure);
`;
