'use client';

import { type FormEvent, useState } from 'react';
import { styled } from 'styled-components';
import { Button } from '@/ui/Button';
import { TextLine } from '@/ui/fields/TextLine';
import { Acts } from '@/ui/Page';
import { keepName } from './writer-name';

/** Asks who writes things down. */
export function AskName({ name, onKept }: { readonly name: string; readonly onKept: () => void }) {
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
        hint="Asked once in this browser, and kept with each pick and reading. What you share can leave names out."
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
