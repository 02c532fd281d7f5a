import { type DBSchema, openDB } from 'idb';
import { type PhotoAnswer, type PhotoFacts, sendPhoto } from '@/features/inspect/photos/send-photo';

/** A picture that was taken without a connection, and waits in this browser. */
interface WaitingPhoto {
  readonly trialId: string;
  readonly facts: PhotoFacts;
  readonly bytes: ArrayBuffer;
}

interface PhotoStore extends DBSchema {
  photos: { key: string; value: WaitingPhoto };
}

const store = () =>
  openDB<PhotoStore>('turnspit-photos', 1, {
    upgrade(db) {
      db.createObjectStore('photos');
    },
  });

/** Puts a picture down in this browser before it is sent: a phone may go dark on the way. */
export async function addPhotoToOutbox(
  trialId: string,
  facts: PhotoFacts,
  bytes: ArrayBuffer,
): Promise<void> {
  await (await store()).put('photos', { trialId, facts, bytes }, facts.id);
}

/** How pictures went that waited: so many left, and what was said to those that were refused. */
export interface PhotosSent {
  readonly waiting: number;
  readonly refused: readonly string[];
}

/** Sends what waits of a trial. A picture leaves this browser only when the server has it, or says that it is none. */
export async function sendWaitingPhotos(
  trialId: string,
  send: (
    trialId: string,
    facts: PhotoFacts,
    bytes: ArrayBuffer,
  ) => Promise<PhotoAnswer> = sendPhoto,
): Promise<PhotosSent> {
  const db = await store();
  const kept = (await db.getAll('photos')).filter(each => each.trialId === trialId);
  const refused: string[] = [];
  let sent = 0;
  for (const { facts, bytes } of kept) {
    const answer = await send(trialId, facts, bytes);
    if (answer.kind === 'no-connection') break;
    if (answer.kind === 'refused') refused.push(answer.says);
    await db.delete('photos', facts.id);
    sent += 1;
  }
  return { waiting: kept.length - sent, refused };
}
