import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { Reading } from '@/core/trial/model/reading';

/** Why a change to a trial was not made. In core, because the service makes it and the screen words it. */
export type TrialTrouble =
  | { readonly kind: 'invalid'; readonly fields: FieldTroubles }
  | { readonly kind: 'no-such-trial' }
  | { readonly kind: 'no-such-unit' }
  /** A helper may walk, weigh and tick. */
  | { readonly kind: 'keeper-only' }
  | { readonly kind: 'already-locked' }
  | { readonly kind: 'kept-deal' }
  | { readonly kind: 'not-dealt' }
  | { readonly kind: 'not-locked' }
  | { readonly kind: 'closed' }
  | { readonly kind: 'not-closed' }
  /** Nothing was read that a verdict could be made of. */
  | { readonly kind: 'nothing-read' }
  | { readonly kind: 'key-shut' }
  | { readonly kind: 'too-late-to-guess' }
  | { readonly kind: 'cant-move' }
  | { readonly kind: 'place-taken'; readonly by: string }
  /** Something stands there that this entry does not name: perhaps another device's. */
  | { readonly kind: 'already-read'; readonly standing: Reading }
  /** A step of the care that somebody ticked, or left out, meanwhile. */
  | { readonly kind: 'already-done'; readonly on: string; readonly by: string }
  /** The server did not answer, or not in time: what was sent may have got there all the same. */
  | { readonly kind: 'no-answer' }
  /** The disk is full: nothing of it was written. */
  | { readonly kind: 'disk-full' }
  /** A backup was to be made first, and could not be. */
  | { readonly kind: 'no-backup' }
  | { readonly kind: 'changed-meanwhile' };

/** One plain sentence: what stands in the way, and what to do. Field troubles stand beside their fields instead. */
export function trialSentence(trouble: TrialTrouble): string {
  switch (trouble.kind) {
    case 'invalid':
      return Object.values(trouble.fields)[0] ?? 'Something in the form is missing.';
    case 'no-such-trial':
      return 'There is no such trial any more.';
    case 'no-such-unit':
      return 'That pot is not in this trial.';
    case 'keeper-only':
      return 'Only a keeper of this garden can do that.';
    case 'kept-deal':
      return 'What is asked lies in the ground as it was dealt then: the treatments and the deal stay as they are.';
    case 'already-locked':
      return 'The plan is locked: it can’t be changed any more.';
    case 'not-dealt':
      return 'Nothing is dealt yet. Lay the trial out first.';
    case 'not-locked':
      return 'Lock the plan before the first reading: what is decided afterwards can’t be told from what was hoped for.';
    case 'closed':
      return 'The trial is closed, and its verdict frozen.';
    case 'not-closed':
      return 'The trial is still open: its verdict is not frozen yet.';
    case 'nothing-read':
      return 'Nothing has been weighed or read yet, so there is no verdict to freeze. A trial that came to nothing can be put away, under Trials.';
    case 'key-shut':
      return 'This trial is blind and its key is still shut. Open the key first.';
    case 'too-late-to-guess':
      return 'Something was weighed already: what is said now is no guess any more.';
    case 'cant-move':
      return 'In a square each stands where its row and column want it: moving would break them.';
    case 'place-taken':
      return `There it would stand on ${trouble.by}.`;
    case 'already-read':
      return `Another value stands there already, put down at ${trouble.standing.takenAt.slice(11, 16)} UTC${trouble.standing.device === '' ? '' : ` on ${trouble.standing.device}`}: ${trouble.standing.asWritten || 'none'}. Choose one.`;
    case 'already-done':
      return `That task is on record already, for ${trouble.on}${trouble.by === '' ? '' : `, by ${trouble.by}`}. If that is wrong, undo it first, under “Given as planned”.`;
    case 'no-answer':
      return 'No answer came: the garden may not be running, or the connection is gone. What you typed is still here; press again.';
    case 'disk-full':
      return 'The disk is full, so nothing was saved. Make room and press again: what you typed is still here.';
    case 'no-backup':
      return 'No backup could be made before it, so nothing was deleted. Is there room on the disk?';
    case 'changed-meanwhile':
      return 'This was changed meanwhile, perhaps in another window. Load the page again to see it.';
  }
}
