import { blocksOfTwo, type OutcomeInput } from '@/core/judge/question/outcome-input';
import type { OutcomeTest } from './outcome-test';
import { testCounts } from './test-counts';
import { testDays } from './test-days';
import { testPairs } from './test-pairs';
import { testShares } from './test-shares';
import { testSteps } from './test-steps';

/** @returns undefined where one of the two has no unit that was read */
export function testOutcome(input: OutcomeInput, treatment: string): OutcomeTest | undefined {
  const blocks = blocksOfTwo(input, treatment);
  if (
    blocks.every(block => block.treated.length === 0) ||
    blocks.every(block => block.control.length === 0)
  )
    return undefined;
  if (input.isPaired && input.kind !== 'time') return testPairs(input, blocks);
  switch (input.kind) {
    case 'count':
      return testCounts(input, treatment, blocks);
    case 'proportion':
      return testShares(input, blocks);
    case 'ordinal':
      return testSteps(input, blocks);
    case 'time':
      return testDays(input, blocks);
  }
}
