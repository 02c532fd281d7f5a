import type { Outcome } from '@/core/judge/question/judge-input';

/** By what each outcome is judged, for whoever asks. */
export const METHOD_WORDS: Readonly<Record<Outcome, string>> = {
  continuous: 'means, Dunnett',
  count: 'ratios, quasi-Poisson',
  proportion: 'shares, one by one',
  ordinal: 'ranks, aligned by block',
  time: 'mean days waited',
};
