import type { Interval } from '@/core/judge/outcomes/judgement';
import type { BlockOfTwo, OutcomeInput } from '@/core/judge/question/outcome-input';
import {
  chanceOfLarger,
  midRanks,
  rankSumTest,
  shiftInterval,
} from '@/core/stats/categorical/rank-tests';
import { normalQuantile } from '@/core/stats/distributions/distributions';
import type { PermutationSumTest } from '@/core/stats/permutation/permutation-sum-test';
import type { OutcomeTest } from './outcome-test';

export function testSteps(input: OutcomeInput, blocks: readonly BlockOfTwo[]): OutcomeTest {
  const samples = blocks.map(block => ({
    treated: block.treated.map(unit => unit.value),
    control: block.control.map(unit => unit.value),
  }));
  const open = samples.filter(block => block.treated.length > 0 && block.control.length > 0);
  const isBlocked = input.blockNames.length > 0 && open.length > 1;
  const all = {
    treated: samples.flatMap(block => block.treated),
    control: samples.flatMap(block => block.control),
  };
  const test: PermutationSumTest = rankSumTest(isBlocked ? open : [all], input.seed);
  const name = isBlocked ? 'van-elteren' : 'wilcoxon';
  return {
    method: `${name}-${test.isExact ? 'exact' : 'shuffled'}`,
    p: test.p,
    shuffleP: test.p,
    unitP: test.p,
    difference: shiftInterval(all, 0.95).shift,
    intervalAt: confidence => (isBlocked ? null : shiftInterval(all, confidence).ci),
    effectAt: confidence => {
      const value = chanceOfLarger(isBlocked ? open : [all]);
      return {
        what: 'chance-of-larger',
        value,
        ci: isBlocked ? null : chanceInterval(all.treated, all.control, value, confidence),
      };
    },
  };
}

/** Interval for the chance of larger, from the spread of its placements on the logit scale. Brunner & Munzel (2000), Biometrical Journal 42, 17-25. */
function chanceInterval(
  treated: readonly number[],
  control: readonly number[],
  value: number,
  confidence: number,
): Interval | null {
  const [m, n] = [treated.length, control.length];
  if (m < 2 || n < 2 || value <= 0 || value >= 1) return null;
  const ranks = midRanks([...treated, ...control]);
  const own = [midRanks(treated), midRanks(control)] as const;
  const spread = (placements: readonly number[]): number => {
    const mean = placements.reduce((sum, each) => sum + each, 0) / placements.length;
    return placements.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (placements.length - 1);
  };
  const [st, sc] = [
    spread(treated.map((_, i) => (ranks[i]! - own[0][i]!) / n)),
    spread(control.map((_, i) => (ranks[m + i]! - own[1][i]!) / m)),
  ];
  const se = Math.sqrt(st / m + sc / n) / (value * (1 - value));
  const [logit, half] = [
    Math.log(value / (1 - value)),
    normalQuantile(1 - (1 - confidence) / 2) * se,
  ];
  return [logit - half, logit + half].map(each => 1 / (1 + Math.exp(-each))) as unknown as Interval;
}
