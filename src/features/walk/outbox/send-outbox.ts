import { deleteEntry, markRefused, waitingEntries } from './outbox';

/** Why nothing was taken though the garden answered: it asks for its passphrase, the trial is gone, its disk is full, or it can't just now. */
type NotTakenFor = 'signed-out' | 'no-trial' | 'no-room' | 'not-now';

/** What became of sending: all answered, or why what waits is kept. */
export type Sent = 'answered' | 'no-connection' | NotTakenFor;

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
    } catch (error) {
      return error instanceof NotTaken ? error.because : 'no-connection';
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

class NotTaken extends Error {
  constructor(readonly because: NotTakenFor) {
    super(because);
  }
}

const NOT_TAKEN: Readonly<Record<number, NotTakenFor>> = {
  401: 'signed-out',
  404: 'no-trial',
  507: 'no-room',
};

/** By hand: a reader of shapes would weigh as much as the whole walk. @throws where it is no answer of our own door */
function answersOf(said: unknown): readonly Answer[] {
  if (Array.isArray(said) && said.every(isAnswer)) return said;
  throw new TypeError('the answer must be a list of entries with what became of each');
}

function isAnswer(said: unknown): said is Answer {
  if (typeof said !== 'object' || said === null || !('id' in said) || !('result' in said))
    return false;
  const { id, result } = said;
  return (
    typeof id === 'string' &&
    typeof result === 'object' &&
    result !== null &&
    'ok' in result &&
    typeof result.ok === 'boolean'
  );
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
  if (!answer.ok) throw new NotTaken(NOT_TAKEN[answer.status] ?? 'not-now');
  return answersOf(await answer.json());
}
