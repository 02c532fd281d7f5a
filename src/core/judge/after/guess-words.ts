import { guessedComparisonWords } from '@/core/judge/question/comparisons-to-guess';
import type { Measure } from '@/core/trial/model/measure';
import type { Foretold, Prediction } from '@/core/trial/model/plan-record';

export const SAME_WORDS = 'no difference that matters';

const WAY_WORDS: Readonly<Record<Foretold['way'], string>> = {
  more: 'more',
  less: 'less',
  same: SAME_WORDS,
};

/** What a guess is about, where that is not “which does best”: “days to the first bite: copper against nothing”; else empty. */
export function guessSubject(
  { about, measureId, foretold }: Pick<Prediction, 'about' | 'measureId' | 'foretold'>,
  measures: readonly Pick<Measure, 'id' | 'name'>[],
): string {
  const measure = measures.find(each => each.id === measureId);
  const ofMeasure =
    measureId === null ? [] : [measure?.name.toLowerCase() ?? 'a measure taken out since'];
  const compared = foretold ? [guessedComparisonWords(foretold.comparison)] : [];
  return [...(about === '' ? [] : [about]), ...ofMeasure, ...compared].join(': ');
}

export function expectedWords({
  expects,
  foretold,
}: Pick<Prediction, 'expects' | 'foretold'>): string {
  return foretold ? WAY_WORDS[foretold.way] : (expects ?? SAME_WORDS);
}
