'use client';

import { useCallback, useEffect, useState } from 'react';
import { oneTabAtATime } from './one-tab';
import { addToOutbox, deleteEntry, type Entry, type WaitingEntry, waitingEntries } from './outbox';
import { postReadings, type Sent, sendOutbox } from './send-outbox';

/** What this browser still holds of a trial, and the ways to deal with it. */
export interface OutboxState {
  readonly waiting: readonly WaitingEntry[];
  readonly refused: readonly WaitingEntry[];
  /** How the last sending went. */
  readonly sent: Sent;
  /** False until the browser's store was looked into once, and while an entry is on its way into it. */
  readonly isKnown: boolean;
  /** Resolves when the entry is kept in this browser; sending goes on by itself. */
  readonly add: (entry: Entry) => Promise<void>;
  /** Gives up an entry that was refused. */
  readonly drop: (seq: number) => Promise<void>;
}

const AGAIN_MS = 15_000;

/** Keeps entries in this browser and sends them whenever there is a connection, one tab at a time. */
export function useOutbox(trialId: string): OutboxState {
  const [kept, setKept] = useState<readonly WaitingEntry[] | null>(null);
  const [keeping, setKeeping] = useState(0);
  const [sent, setSent] = useState<Sent>('answered');
  const look = useCallback(async () => setKept(await waitingEntries(trialId)), [trialId]);
  const send = useCallback(async () => {
    // Two tabs must not send the same batch side by side; the server would not mind, the order would.
    const done = await oneTabAtATime(`turnspit outbox ${trialId}`, () =>
      sendOutbox(trialId, postReadings),
    );
    if (done !== undefined) setSent(done);
    await look();
  }, [trialId, look]);
  useEffect(() => {
    void look().then(send);
    const again = (): void => {
      void send();
    };
    window.addEventListener('online', again);
    const timer = window.setInterval(again, AGAIN_MS);
    return () => {
      window.removeEventListener('online', again);
      window.clearInterval(timer);
    };
  }, [look, send]);
  return {
    waiting: (kept ?? []).filter(each => each.refusal === null),
    refused: (kept ?? []).filter(each => each.refusal !== null),
    sent,
    isKnown: kept !== null && keeping === 0,
    add: async entry => {
      setKeeping(count => count + 1);
      try {
        await addToOutbox(trialId, entry);
        await look();
      } finally {
        setKeeping(count => count - 1);
      }
      void send();
    },
    drop: async seq => {
      await deleteEntry(seq);
      await look();
    },
  };
}
