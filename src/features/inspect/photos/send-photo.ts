import type { PhotoOf } from '@/core/image/photo';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';

/** What goes with a picture. */
export interface PhotoFacts {
  readonly id: string;
  readonly unitId: string;
  readonly takenOn: string;
  readonly shows: PhotoOf;
  readonly note: string;
}

/** What became of a picture: kept, refused with a sentence, or no connection. */
export type PhotoAnswer =
  | { readonly kind: 'kept' }
  | { readonly kind: 'refused'; readonly says: string }
  | { readonly kind: 'no-connection' };

/** Sends one picture. Its bytes go bare, in a form that no other site can send for somebody. */
export async function sendPhoto(
  trialId: string,
  facts: PhotoFacts,
  bytes: Blob | ArrayBuffer,
): Promise<PhotoAnswer> {
  const asked = new URLSearchParams({ ...facts });
  try {
    const answer = await fetch(`/api/photos/${trialId}?${asked}`, {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: bytes,
    });
    if (answer.ok) return { kind: 'kept' };
    if (answer.status === 413)
      return { kind: 'refused', says: 'That file is over 30 MB. Take the picture smaller.' };
    if (answer.status !== 422) return { kind: 'no-connection' };
    return { kind: 'refused', says: saysOf(await answer.json()) };
  } catch {
    return { kind: 'no-connection' };
  }
}

/** Why a picture was refused. What is no trouble of our own door has no sentence of its own. */
function saysOf(trouble: unknown): string {
  const unknown = 'It can’t be kept.';
  if (!isTrouble(trouble)) return unknown;
  return trouble.kind === 'invalid'
    ? (Object.values(trouble.fields)[0] ?? unknown)
    : trialSentence(trouble);
}

function isTrouble(trouble: unknown): trouble is TrialTrouble {
  if (typeof trouble !== 'object' || trouble === null || !('kind' in trouble)) return false;
  if (trouble.kind !== 'invalid') return typeof trouble.kind === 'string';
  return 'fields' in trouble && typeof trouble.fields === 'object' && trouble.fields !== null;
}
