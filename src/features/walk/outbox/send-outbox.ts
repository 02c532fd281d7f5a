import { deleteEntry, markRefused, waitingEntries } from './outbox';

/** What became of sending: all answered, or no connection. */
export type Sent = 'answered' | 'no-connection';

export interface Answer {
  readonly id: string;
  readonly result:
    | { readonly ok: true; readonly value: unknown }
    | { readonly ok: false; readonly trouble: unknown };
}

/** Sends a batch to the server and gives back its answers. Throws where there is no connection. */
export type Post = (trialId: string, entries: readonly unknown[]) => Promise<readonly Answer[]>;

const BATCH = 50;

/** Sends what waits, in order, a batch at a time. Sent twice does no harm: the server knows entries by their ids. */
export async function sendOutbox(trialId: string, post: Post): Promise<Sent> {
  for (;;) {
    const waiting = (await waitingEntries(trialId))
      .filter(kept => kept.refusal === null)
      .slice(0, BATCH);
    if (waiting.length === 0) return 'answered';
    let answers: readonly Answer[];
    try {
      answers = await post(
        trialId,
        waiting.map(kept => kept.entry),
      );
    } catch {
      return 'no-connection';
    }
    for (const kept of waiting) {
      const answer = answers.find(each => each.id === kept.entry.id);
      if (answer?.result.ok) await deleteEntry(kept.seq);
      else
        await markRefused(
          kept,
          answer?.result.ok === false ? answer.result.trouble : { kind: 'changed-meanwhile' },
        );
    }
  }
}

/** Posts to the application's own door. */
export async function postReadings(
  trialId: string,
  entries: readonly unknown[],
): Promise<readonly Answer[]> {
  const answer = await fetch(`/api/readings/${trialId}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(entries),
    keepalive: entries.length < 20,
  });
  if (!answer.ok) throw new Error(`the server answered ${answer.status}`);
  return answer.json();
}
