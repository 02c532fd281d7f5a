import { type JudgeInput, type ReadUnit, testsOf } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { blocksOfTwo } from '@/core/judge/question/strata';
import type { TwoByTwo } from '@/core/stats/categorical/two-by-two';
import type { WaitedSamples } from '@/core/stats/survival/survival';
import { judge } from './judge';
import { waitedOf } from './working/waits';
import { shareOf, tableOf } from './working/yes-no-scale';

/** Two treatments' shares, block by block, as published tests take them. */
export function tableOfShares(
  input: JudgeInput,
  treated: string,
  control: string,
): readonly TwoByTwo[] {
  const of = (units: readonly ReadUnit[]) => shareOf(units);
  return blocksOfTwo(input, [treated], [control]).map(block =>
    tableOf(of(block.treated), of(block.control)),
  );
}

/** Days waited of the first treatment and the control, block by block. */
export function waitedByBlock(input: JudgeInput): readonly WaitedSamples[] {
  return blocksOfTwo(input, testsOf(input).slice(0, 1), [input.control]).map(block => ({
    treated: waitedOf(block.treated),
    control: waitedOf(block.control),
  }));
}

/** Pairs that differ by so much, with enough shuffles that all flips are looked at. */
export function pairedFixture(differences: readonly number[]): JudgeInput {
  return judgeInputFixture(
    differences.flatMap((difference, i) => [
      { id: `a${i}`, treatment: 'none', blocks: [String(i)], value: 10 },
      { id: `b${i}`, treatment: 'fed', blocks: [String(i)], value: 10 + difference },
    ]),
    { isPaired: true, blockNames: ['pair'], shuffles: 2000 },
  );
}

/** Two samples as steps: their p by all deals of the ranks; null where they are all alike. */
export function rankSumP(treated: readonly number[], control: readonly number[]): number | null {
  const units = [control, treated].flatMap((values, t) =>
    values.map((value, i) => ({
      id: `${t} ${i}`,
      treatment: t === 0 ? 'none' : 'fed',
      blocks: [],
      value,
    })),
  );
  const [found] = judge(judgeInputFixture(units, { outcome: 'ordinal', shuffles: 2000 })).contrasts;
  return found?.estimable ? found.shuffleP : null;
}

/** Pairs that differ by so much: their p by all flips of the signs. */
export function signFlipP(differences: readonly number[]): number | null {
  const [found] = judge(pairedFixture(differences)).contrasts;
  return found?.estimable ? found.shuffleP : null;
}
