import type { MassStyle } from '@/core/quantity/print-quantity';
import { printMass } from '@/core/quantity/print-quantity';
import type { CullReason, Outcome, Pick } from '@/core/trial/model/pick';

/** What stands in the form of one pick. Date and tare outlive it: they hold for the whole round. */
export interface PickDraft {
  readonly outcome: Outcome;
  readonly gross: string;
  readonly pieces: string;
  readonly grade: 'sound' | 'cull';
  readonly cullReason: CullReason | null;
  readonly note: string;
}

/** What is asked for second on the final clearing pick. */
export const GREEN_PICK: PickDraft = {
  outcome: 'picked',
  gross: '',
  pieces: '',
  grade: 'cull',
  cullReason: 'green',
  note: 'last strip',
};

export const EMPTY_PICK: PickDraft = {
  outcome: 'picked',
  gross: '',
  pieces: '',
  grade: 'sound',
  cullReason: null,
  note: '',
};

/** What a round remembers from pot to pot. */
export interface RoundDraft {
  readonly pickedOn: string;
  readonly tare: string;
  /** A whole pick at once; piece after piece; or the final clearing pick: first what is ripe, then all that is green. */
  readonly mode: 'whole' | 'piece' | 'strip';
}

export function readRoundDraft(stored: unknown): RoundDraft | undefined {
  return isRoundDraft(stored) ? stored : undefined;
}

function isRoundDraft(stored: unknown): stored is RoundDraft {
  if (typeof stored !== 'object' || stored === null) return false;
  const draft: Partial<RoundDraft> = stored;
  return (
    typeof draft.pickedOn === 'string' &&
    typeof draft.tare === 'string' &&
    (draft.mode === 'whole' || draft.mode === 'piece' || draft.mode === 'strip')
  );
}

/** A pick back in the form, to be changed. */
export function draftOf(pick: Pick, style: MassStyle): PickDraft {
  return {
    outcome: pick.outcome,
    gross: pick.asWritten || (pick.grossG === null ? '' : printMass(pick.grossG, style)),
    pieces: pick.pieces === null ? '' : String(pick.pieces),
    grade: pick.grade,
    cullReason: pick.cullReason,
    note: pick.note,
  };
}

const OUTCOME_WORDS = {
  picked: '',
  'nothing-there': 'nothing to pick',
  'not-yet': 'not yet',
  'not-looked': 'not looked at',
  gone: 'gone',
  dead: 'dead',
} as const satisfies Record<Outcome, string>;

/** A pick in one line: `213 g, 31 pieces, cull (rot)`. */
export function pickWords(pick: Pick, style: MassStyle): string {
  if (pick.isRemoval) return 'taken out';
  if (pick.outcome !== 'picked') return OUTCOME_WORDS[pick.outcome];
  const parts = [
    ...(pick.netG === null ? [] : [printMass(pick.netG, style)]),
    ...(pick.pieces === null ? [] : [`${pick.pieces} ${pick.pieces === 1 ? 'piece' : 'pieces'}`]),
    ...(pick.grade === 'cull' ? [`cull (${pick.cullReason})`] : []),
  ];
  return parts.join(', ');
}
