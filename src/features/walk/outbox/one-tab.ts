import { v7 } from 'uuid';
import { giveBackLease, takeLease } from './outbox';

const LEASE_MS = 30_000; // longer than a batch takes on a slow connection

/**
 * Does something while no other tab of this browser does it. By the browser's locks where the page may use them; a page that came
 * over plain http may not, and goes by a lease in the browser's store, which runs out by itself where a tab was killed.
 *
 * @returns what the work gave; undefined where another tab is at it
 */
export async function oneTabAtATime<Answer>(
  name: string,
  work: () => Promise<Answer>,
): Promise<Answer | undefined> {
  if (typeof navigator.locks?.request === 'function') return navigator.locks.request(name, work);
  const owner = v7();
  if (!(await takeLease(name, owner, Date.now(), LEASE_MS))) return undefined;
  try {
    return await work();
  } finally {
    await giveBackLease(name, owner);
  }
}
