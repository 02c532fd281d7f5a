import { distinct, type TrialModel } from '@/core/design/linear/trial-model';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { DesignKind, Judgement } from './judgement';
import { latinSquareOf } from './re-randomisation-of';

export function designOf(input: JudgeInput, trial: TrialModel): Judgement['design'] {
  const blocks = distinct(trial.units.map(unit => JSON.stringify(unit.blocks))).length;
  return {
    kind: designKind(input, trial),
    units: trial.units.length,
    subsamples: input.subsamples,
    blocks: input.blockNames.length === 0 ? 0 : blocks,
    treatments: input.treatments.length,
  };
}

function designKind(input: JudgeInput, trial: TrialModel): DesignKind {
  if (trial.wholePlot) return 'split-plot';
  if (input.blockNames.length === 0) return 'complete-randomisation';
  if (input.blockNames.length > 1)
    return latinSquareOf(input) ? 'latin-square' : 'several-blockings';
  if (input.isPaired) return 'pairs';
  const blocks = distinct(trial.units.map(unit => unit.blocks[0] ?? ''));
  const isComplete = blocks.every(block =>
    input.treatments.every(treatment =>
      trial.units.some(unit => unit.blocks[0] === block && unit.treatment === treatment),
    ),
  );
  return isComplete ? 'complete-blocks' : 'incomplete-blocks';
}
