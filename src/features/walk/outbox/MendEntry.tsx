'use client';

import { useState } from 'react';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/fields/TextField';
import type { Entry } from './outbox';

interface MendEntryProps {
  readonly entry: Entry;
  /** By the field's name. */
  readonly troubles: Readonly<Record<string, string>>;
  readonly send: (changes: Readonly<Record<string, unknown>>) => void;
}

/** A refused entry with its value and its day to be put right: a wrong clock costs nobody a reading. */
export function MendEntry({ entry, troubles, send }: MendEntryProps) {
  const [value, setValue] = useState(String(entry.value ?? ''));
  const [takenOn, setTakenOn] = useState(String(entry.takenOn ?? ''));
  return (
    <>
      {entry.outcome === 'picked' && (
        <TextField
          label="The value"
          name={`mend value ${entry.id}`}
          value={value}
          onChange={setValue}
          trouble={troubles.value}
        />
      )}
      <TextField
        label="The day it was read"
        name={`mend day ${entry.id}`}
        value={takenOn}
        onChange={setTakenOn}
        type="date"
        trouble={troubles.takenOn}
      />
      <Button onPress={() => send({ value, takenOn })}>Send it so</Button>
    </>
  );
}
