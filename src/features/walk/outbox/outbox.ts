import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** An entry as it is sent: a reading, or the removal of one. */
export type Entry = Readonly<Record<string, unknown>> & { readonly id: string };

/** Something put down in this browser that the server has not answered for yet, or refused. */
export interface WaitingEntry {
  /** Grows with every entry: the order in which they were made. */
  readonly seq: number;
  readonly trialId: string;
  readonly entry: Entry;
  /** What the server said to it; null while it waits. */
  readonly refusal: unknown;
}

interface Outbox extends DBSchema {
  entries: { key: number; value: Omit<WaitingEntry, 'seq'> };
  leases: { key: string; value: Lease };
}

/** Who may do something just now, and until when. */
interface Lease {
  readonly owner: string;
  /** Milliseconds of this browser's clock. */
  readonly until: number;
}

let opened: Promise<IDBPDatabase<Outbox>> | undefined;

function outbox(): Promise<IDBPDatabase<Outbox>> {
  // Numbered by the database, not by an id made elsewhere: the order must hold.
  opened ??= openDB<Outbox>('turnspit-outbox', 2, {
    upgrade(db, before) {
      if (before < 1) db.createObjectStore('entries', { autoIncrement: true });
      if (before < 2) db.createObjectStore('leases');
    },
  });
  return opened;
}

/** Puts an entry down in this browser; it outlives the page, the battery and the connection. */
export async function addToOutbox(trialId: string, entry: Entry): Promise<void> {
  const db = await outbox();
  await db.add('entries', { trialId, entry, refusal: null });
}

/** What is kept for a trial, in the order in which it was made. */
export async function waitingEntries(trialId: string): Promise<readonly WaitingEntry[]> {
  const db = await outbox();
  const kept: WaitingEntry[] = [];
  for (
    let cursor = await db.transaction('entries').store.openCursor();
    cursor;
    cursor = await cursor.continue()
  ) {
    if (cursor.value.trialId === trialId) kept.push({ ...cursor.value, seq: cursor.key });
  }
  return kept;
}

/** Lets go of an entry that the server has, or that its maker gives up. */
export async function deleteEntry(seq: number): Promise<void> {
  await (await outbox()).delete('entries', seq);
}

/** Keeps an entry with what the server said to it. Nothing is dropped unseen. */
export async function markRefused({ seq, ...kept }: WaitingEntry, refusal: unknown): Promise<void> {
  await (await outbox()).put('entries', { ...kept, refusal }, seq);
}

/** Takes a lease unless another holds one that has not run out. @returns whether it was taken */
export async function takeLease(
  name: string,
  owner: string,
  now: number,
  forMs: number,
): Promise<boolean> {
  const change = (await outbox()).transaction('leases', 'readwrite');
  const held = await change.store.get(name);
  const isFree = held === undefined || held.owner === owner || held.until <= now;
  if (isFree) await change.store.put({ owner, until: now + forMs }, name);
  await change.done;
  return isFree;
}

/** Gives a lease back, if it is still one's own. */
export async function giveBackLease(name: string, owner: string): Promise<void> {
  const change = (await outbox()).transaction('leases', 'readwrite');
  if ((await change.store.get(name))?.owner === owner) await change.store.delete(name);
  await change.done;
}
