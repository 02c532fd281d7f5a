import { type AgreedComparison, isYesNo, type JudgeInput } from '@/core/judge/question/judge-input';
import { listed } from '@/core/words/listed';
import { comparedWithControl } from './compared-with-control';
import { type ContrastContext, testedContrast, untestedContrast } from './comparisons';
import type { Contrast } from './judgement';
import { type EffectError, errorAnalysisOf } from './spread/error-strata';
import { familiesOf } from './spread/families';
import { blockInteractionOf, gardenErrorOf } from './spread/garden-error';
import { judgedSpreadOf } from './spread/judged-spread';
import { type WorkingTrial, workingTrialOf } from './working/working-trial';

/** The comparison that was agreed on, by itself: no other one was asked, so none is allowed for. */
export function agreedContrast(
  { agreed, ...input }: JudgeInput,
  working: WorkingTrial,
  pooled: EffectError | undefined,
  jointly: typeof familiesOf = familiesOf,
): Contrast | null {
  if (!agreed) return null;
  const one = listed(agreed.one);
  const other = listed(agreed.other);
  const sides = { ...input, treatments: [other, one], control: other };
  const areSingle = agreed.one.length === 1 && agreed.other.length === 1;
  if (areSingle) return comparedWithControl(sides, working, pooled, jointly).contrasts[0] ?? null;
  const isFlat = pooled === undefined && working.model.residualDf > 0;
  return isYesNo(input) || isFlat
    ? mergedContrast(sides, agreed)
    : averagedContrast({ input, agreed, one, other }, working, pooled, jointly);
}

/** Called by the deals: if nothing differs, units of either side could have changed places whatever they got. */
function mergedContrast(sides: JudgeInput, agreed: AgreedComparison): Contrast | null {
  const [other = '', one = ''] = sides.treatments;
  const units = sides.units.flatMap(unit => {
    if (agreed.one.includes(unit.treatment)) return [{ ...unit, treatment: one }];
    return agreed.other.includes(unit.treatment) ? [{ ...unit, treatment: other }] : [];
  });
  const merged = { ...sides, units, factors: undefined };
  const working = workingTrialOf(merged);
  const { spread } = errorAnalysisOf(working.trial, working.model, working.leastSpread);
  return comparedWithControl(merged, working, spread).contrasts[0] ?? null;
}

interface Sides {
  readonly input: JudgeInput;
  readonly agreed: AgreedComparison;
  readonly one: string;
  readonly other: string;
}

/** Each side is the mean of its treatments with equal weight, in the model of all treatments. */
function averagedContrast(
  { input, agreed, one, other }: Sides,
  working: WorkingTrial,
  pooled: EffectError | undefined,
  jointly: typeof familiesOf,
): Contrast {
  const { trial, model, scale } = working;
  const weighed = (names: readonly string[], sign: number) =>
    names.map(name => [name, sign / names.length] as const);
  const difference = trial.combinationOf(model, [
    ...weighed(agreed.one, 1),
    ...weighed(agreed.other, -1),
  ]);
  if (!difference) return { estimable: false, treatment: one, control: other, call: 'no-test' };
  const countOf = (names: readonly string[]): number =>
    trial.units.filter(unit => names.includes(unit.treatment)).length;
  const context: ContrastContext = {
    input,
    trial,
    model,
    scale,
    treatment: one,
    controlName: other,
    treated: agreed.one,
    controls: agreed.other,
    difference,
    mean: trial.combinationOf(model, weighed(agreed.one, 1)),
    control: trial.combinationOf(model, weighed(agreed.other, 1)),
    unitCounts: [countOf(agreed.one), countOf(agreed.other)],
  };
  const isAlone = context.unitCounts.some(count => count < 2);
  if (!pooled?.judges(difference) || isAlone) return untestedContrast(context);
  const ofGardens = gardenErrorOf(blockInteractionOf(input, working));
  const spread = ofGardens ?? judgedSpreadOf(working, pooled, [difference], input.confidence);
  const family = jointly([difference], spread, input.confidence)(difference);
  return testedContrast(context, { pooled, spread }, family);
}
