import type { Call } from '@/core/judge/judgement';

/** A call as the gardener reads it. */
export const CALL_WORDS = {
  'clearly-better': 'clearly better', better: 'better', 'no-difference-that-matters': 'no difference that matters', worse: 'worse',
  'clearly-worse': 'clearly worse', 'cant-tell': 'can’t tell yet', 'no-test': 'no test',
} as const satisfies Record<Call, string>;

const SHORT: Readonly<Record<string, string>> = { ...CALL_WORDS, 'no-difference-that-matters': 'no difference', 'cant-tell': 'can’t tell' };

/** `1 clearly better, 2 can’t tell`. */
export function callCounts(calls: readonly string[]): string {
  return Object.entries(SHORT).flatMap(([call, words]) => {
    const count = calls.filter(candidate => candidate === call).length;
    return count === 0 ? [] : [`${count} ${words}`];
  }).join(', ');
}
