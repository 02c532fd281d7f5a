import type { JudgedUnit } from '@/core/design/linear/design-input';
import { type JudgeInput, STARTING_GUESS_CV } from './judge-input';

/** What the judge takes in tests: one treatment column, no margin, the control called `none` or else the first. */
export function judgeInputFixture(
  units: readonly JudgedUnit[],
  changes: Partial<JudgeInput> = {},
): JudgeInput {
  const treatments = [...new Set(units.map(unit => unit.treatment))];
  return {
    outcome: 'continuous',
    response: 'beans',
    unitWord: 'pot',
    treatmentName: 'feed',
    treatments,
    control: treatments.includes('none') ? 'none' : (treatments[0] ?? ''),
    blockNames: [],
    units,
    subsamples: units.length,
    better: 'higher',
    margin: null,
    confidence: 0.95,
    shuffles: 0,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
    ...changes,
  };
}
