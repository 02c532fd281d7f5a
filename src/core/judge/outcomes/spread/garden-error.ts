import type { TrialModel } from '@/core/design/linear/trial-model';
import type { WorkingTrial } from '@/core/judge/outcomes/working/working-trial';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { fUpperTail } from '@/core/stats/distributions/distributions';
import { fitLinearModel, indicatorColumns } from '@/core/stats/linear/linear-model';
import { dot } from '@/core/stats/linear/orthonormal-basis';
import { isGardenWord } from '@/core/trial/garden-word';
import type { EffectError } from './error-strata';

/** What treatments do otherwise from block to block, where they stand in one more than once. */
export interface BlockInteraction {
  readonly blockName: string;
  /** Whether the blocks are gardens: of those one wants to know what it would do in others like them. */
  readonly isGarden: boolean;
  readonly ms: number;
  readonly df: number;
  /** That the treatments do the same in all blocks. */
  readonly p: number;
}

/**
 * The mean square of treatment by block beside the units' own.
 *
 * @returns undefined where there is no one way of blocking, or no treatment stands twice in a block
 */
export function blockInteractionOf(
  input: JudgeInput,
  { trial, model }: WorkingTrial,
): BlockInteraction | undefined {
  const [blockName] = input.blockNames;
  if (blockName === undefined || input.blockNames.length > 1 || trial.wholePlot) return undefined;
  const whole = fitLinearModel(
    trial.units.map(unit => unit.value),
    [...trial.terms, { name: 'cell', columns: cellColumns(trial) }],
    trial.weights,
  );
  const df = model.residualDf - whole.residualDf;
  if (df < 1 || whole.residualDf < 1 || !(whole.residualSs > 0)) return undefined;
  const ms = Math.max(0, model.residualSs - whole.residualSs) / df;
  return {
    blockName,
    isGarden: isGardenWord(blockName),
    ms,
    df,
    p: fUpperTail(ms / (whole.residualSs / whole.residualDf), df, whole.residualDf),
  };
}

function cellColumns(trial: TrialModel): readonly (readonly number[])[] {
  const labels = trial.units.map(unit => JSON.stringify([unit.blocks[0], unit.treatment]));
  return indicatorColumns(labels, [...new Set(labels)]);
}

/** With fewer degrees of freedom nothing could ever be told: then it is said of these gardens only. */
const LEAST_DF = 3;

/** Treatment by garden as the error, so that what is told holds in other gardens like these; undefined where too few tell it. */
export function gardenErrorOf(interaction: BlockInteraction | undefined): EffectError | undefined {
  if (!interaction?.isGarden || interaction.df < LEAST_DF || !(interaction.ms > 0))
    return undefined;
  const { ms, df } = interaction;
  return {
    covariance: (a, b) => ms * dot(a.direction, b.direction),
    dfOf: () => df,
    judges: () => true,
  };
}
