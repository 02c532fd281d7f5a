import { counted } from '@/core/words/plural';
import type { GardenSource } from './gardens-together';

/** How much an answer rests on: what a neighbour may be advised by it. */
export type EvidenceGrade = 'one-garden' | 'some' | 'good';

export interface Evidence {
  readonly grade: EvidenceGrade;
  /** What it rests on, and what it is worth, each a sentence. */
  readonly says: readonly string[];
}

/** From here on gardens, and pots in them, carry an advice to others. Common practice, no source. */
const ENOUGH_GARDENS = 5;
const ENOUGH_UNITS = 40;

/** By how many independent gardens and seasons, how many units, and whether whoever measured knew. Typed figures have no units here. */
export function evidenceOf(sources: readonly GardenSource[], unitWord: string): Evidence {
  const own = sources.filter(({ typedFrom }) => typedFrom === null);
  const gardens = new Set(own.map(({ gardenId }) => gardenId)).size;
  const seasons = new Set(own.map(({ season }) => season)).size;
  const blind = own.filter(({ isBlind }) => isBlind).length;
  const read = own.reduce(
    (sum, { answer }) => sum + answer.units - answer.missing - answer.leftOut,
    0,
  );
  const grade: EvidenceGrade =
    gardens < 2
      ? 'one-garden'
      : gardens >= ENOUGH_GARDENS && read >= ENOUGH_UNITS && blind > own.length / 2
        ? 'good'
        : 'some';
  return {
    grade,
    says: [
      `It rests on ${counted(gardens, 'garden')}, ${counted(seasons, 'season')} and ${counted(read, unitWord)} with a value; ${blind === own.length ? 'all' : blind === 0 ? 'none' : `${blind} of ${own.length}`} measured blind.`,
      ...typedWords(sources.length - own.length),
      WORTH[grade],
    ],
  };
}

/** What was typed in is part of the mean; what it is worth nobody here can tell. */
function typedWords(typed: number): readonly string[] {
  if (typed === 0) return [];
  return typed === 1
    ? ['Beside them counts one finding that was typed in; nobody here saw how it came about.']
    : [
        `Beside them count ${typed} findings that were typed in; nobody here saw how they came about.`,
      ];
}

const WORTH: Readonly<Record<EvidenceGrade, string>> = {
  'one-garden': 'That is one garden: what held here need not hold elsewhere.',
  some: 'Enough to tell others what was seen, not enough to advise them: five gardens, forty values and measuring blind would be.',
  good: 'Enough to advise gardens like these.',
};
