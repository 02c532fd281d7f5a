import type { Call } from '@/core/judge/outcomes/judgement';

/** A call as the gardener reads it. */
export const CALL_WORDS = {
  'clearly-better': 'clearly better',
  better: 'better',
  'no-difference-that-matters': 'no difference that matters',
  worse: 'worse',
  'clearly-worse': 'clearly worse',
  'cant-tell': 'can’t tell yet',
  'no-test': 'no test',
} as const satisfies Record<Call, string>;

/** Of what is no gain either way: the judge takes more of it for the good way. */
export const DIFFERENCE_WORDS = {
  ...CALL_WORDS,
  'clearly-better': 'clearly more',
  better: 'more',
  worse: 'less',
  'clearly-worse': 'clearly less',
} as const satisfies Record<Call, string>;

const SHORT: Readonly<Record<string, string>> = {
  ...CALL_WORDS,
  'no-difference-that-matters': 'no difference',
  'cant-tell': 'can’t tell',
};

/** `1 clearly better, 2 can’t tell`. */
export function callCounts(calls: readonly string[]): string {
  return Object.entries(SHORT)
    .flatMap(([call, words]) => {
      const count = calls.filter(candidate => candidate === call).length;
      return count === 0 ? [] : [`${count} ${words}`];
    })
    .join(', ');
}
