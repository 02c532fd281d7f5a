import { useState } from 'react';

/** What is typed at a stop and not taken yet, and what was said of it. */
export function useTypedEntry() {
  const [typed, setTyped] = useState('');
  const [note, setNote] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [asked, setAsked] = useState<string | null>(null);
  return {
    typed,
    note,
    setNote,
    trouble,
    /** The odd value that was asked about: the same again is meant. */
    asked,
    type: (next: string): void => {
      setTyped(next);
      setTrouble(null);
      setAsked(null);
    },
    refuse: setTrouble,
    ask: (written: string, odd: string): void => {
      setTyped(written);
      setAsked(written);
      setTrouble(odd);
    },
    bringBack: (written: string, why: string): void => {
      setTyped(written);
      setTrouble(why);
    },
    clear: (): void => {
      setTyped('');
      setNote('');
      setTrouble(null);
      setAsked(null);
    },
  };
}

export type TypedEntry = ReturnType<typeof useTypedEntry>;
