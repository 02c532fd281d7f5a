import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputOf, plannedSpec } from '@/core/judge/units/trial-analysis';
import { leaveOutFixture, pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { leftOver } from './left-over';

const trial = trialFixture({ treatments: 2, unitsEach: 3, blockCount: 3 });
const inputOf = (data: TrialData) =>
  judgeInputOf(data, { ...plannedSpec(data, STARTING_GUESS_CV), shuffles: 0 });
const isFed = (unit: TrialData['units'][number]): boolean =>
  unit.treatmentId === trial.treatments[1]?.id;
/** Gaps of 10, 20 and 60 g in the three blocks: 30 on the average. */
const GAPS = [10, 20, 60];
const blocks = [...new Set(inputOf(trial).units.map(unit => unit.blocks[0]))];
const blockOf = (code: string): number =>
  blocks.indexOf(inputOf(trial).units.find(unit => unit.id === code)?.blocks[0]);
const grown: TrialData = {
  ...trial,
  picks: trial.units.map(unit => {
    const block = blockOf(unit.code);
    return pickFixture(unit, { netG: 100 * (block + 1) + (isFed(unit) ? GAPS[block]! : 0) });
  }),
};

describe('what is left over', () => {
  it('is by hand half of what a block’s gap differs from the mean gap, one way and the other', () => {
    const left = leftOver(inputOf(grown));
    expect(left.size).toBe(6);
    for (const unit of grown.units) {
      const half = (GAPS[blockOf(unit.code)]! - 30) / 2;
      expect(left.get(unit.code)).toBeCloseTo(isFed(unit) ? half : -half, 9);
    }
  });

  it('has nothing of a unit that is left out, and nothing at all where no value is free to differ', () => {
    const lost = grown.units[0]!;
    const left = leftOver(inputOf({ ...grown, incidents: [leaveOutFixture(lost, {})] }));
    expect([left.has(lost.code), left.size]).toEqual([false, 5]);
    const alike = grown.units.map(unit => pickFixture(unit, { netG: 200 }));
    expect(leftOver(inputOf({ ...grown, picks: alike })).size).toBe(0);
  });
});
