import type { Scale } from '@/core/trial/model/scale';
import { DERIVED_KINDS } from './derived-lines';
import type { ReadingKind } from './reading-kind';
import { READING_LINES } from './reading-lines';

/** Every measure that is read rather than picked, in the order of a season. */
const TAKEN_KINDS: readonly ReadingKind[] = READING_LINES.map(line => ({
  parts: 1,
  days: 'mean',
  fromPicture: null,
  ...line,
}));

/** Those that are taken, and what is worked out of them. */
export const READING_KINDS: readonly ReadingKind[] = [...TAKEN_KINDS, ...DERIVED_KINDS];

/** Whether more of it is a gain or a loss at all: of pH, of the depth of a mulch, of a class among others it is only a difference. */
export function isGainOrLoss({
  kindKey,
  scale,
}: {
  readonly kindKey: string | null;
  readonly scale: Scale | null;
}): boolean {
  // Of what a laboratory finds there is enough and too much.
  if (scale?.kind === 'class' || kindKey?.startsWith('lab-')) return false;
  return kindKey === null || readingKind(kindKey)?.better !== 'neither';
}

export function readingKind(key: string): ReadingKind | undefined {
  return READING_KINDS.find(kind => kind.key === key);
}

/** Half the instrument's step in % of a value: what reading it to the nearest mark can put in. */
export function stepPercent(kind: Pick<ReadingKind, 'step'>, value: number): number | null {
  return kind.step === null || value <= 0 ? null : (100 * kind.step) / value;
}
