import { type ContrastContext, testedContrast } from '@/core/judge/outcomes/comparisons';
import type { DoseTrend } from '@/core/judge/outcomes/judgement';
import type { EffectError } from '@/core/judge/outcomes/spread/error-strata';
import { familiesOf } from '@/core/judge/outcomes/spread/families';
import { blockInteractionOf, gardenErrorOf } from '@/core/judge/outcomes/spread/garden-error';
import { judgedSpreadOf } from '@/core/judge/outcomes/spread/judged-spread';
import type { WorkingTrial } from '@/core/judge/outcomes/working/working-trial';
import { doseLineOf, type Weighed } from '@/core/judge/question/dose-line';
import { type JudgeInput, testsOf } from '@/core/judge/question/judge-input';
import type { Combination } from '@/core/stats/linear/linear-model';

/**
 * What the largest dose brings beside the smallest along a straight line through all. It is judged by what units treated alike
 * differ, not by how far the doses lie off the line; and covered together with each dose against the control, which the headline
 * falls back on where only a dose in the middle does something.
 *
 * @returns null where the treatments are no series of doses, or nothing is left to judge by
 */
export function doseTrendOf(
  input: JudgeInput,
  working: WorkingTrial,
  pooled: EffectError | undefined,
  jointly: typeof familiesOf = familiesOf,
): DoseTrend | null {
  const { trial, model, scale } = working;
  const line = doseLineOf(input);
  if (!line || !pooled) return null;
  const { least, most, from, to, atLeast, atMost } = line;
  const difference = trial.combinationOf(model, lessOf(atMost, atLeast));
  if (!difference || !pooled.judges(difference)) return null;
  const countOf = (name: string): number =>
    trial.units.filter(unit => unit.treatment === name).length;
  const context: ContrastContext = {
    input,
    trial,
    model,
    scale,
    treatment: most,
    controlName: least,
    treated: [most],
    controls: [least],
    difference,
    mean: trial.combinationOf(model, atMost),
    control: trial.combinationOf(model, atLeast),
    unitCounts: [countOf(most), countOf(least)],
  };
  const ofGardens = gardenErrorOf(blockInteractionOf(input, working));
  const together = [difference, ...againstControl(input, working, pooled)];
  const spread = ofGardens ?? judgedSpreadOf(working, pooled, together, input.confidence);
  const family = jointly(together, spread, input.confidence)(difference);
  const tested = testedContrast(context, { pooled, spread }, family);
  // Odds and hazards would be those of the two ends only.
  return { ...tested, effect: null, from, to };
}

/** Each other treatment against the control, as far as the layout can tell it. */
function againstControl(
  input: JudgeInput,
  { trial, model }: WorkingTrial,
  pooled: EffectError,
): readonly Combination[] {
  return testsOf(input).flatMap(name => {
    const combination = trial.differenceOf(model, name, input.control);
    return combination && pooled.judges(combination) ? [combination] : [];
  });
}

function lessOf(atMost: Weighed, atLeast: Weighed): Weighed {
  return atMost.map(([name, weight], i) => [name, weight - (atLeast[i]?.[1] ?? 0)]);
}
