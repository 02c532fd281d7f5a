import type { JudgeInput } from '@/core/judge/question/judge-input';
import {
  type CellPair,
  isWhole,
  type LevelComparison,
  levelComparisonsOf,
} from '@/core/judge/question/level-comparisons';
import type { ModelTerm } from '@/core/stats/linear/linear-model';
import { orthonormalBasis } from '@/core/stats/linear/orthonormal-basis';
import { type ContrastContext, testedContrast } from './comparisons';
import type { FactorEffect, Interaction, Judgement } from './judgement';
import type { EffectError } from './spread/error-strata';
import { familiesOf } from './spread/families';
import { blockInteractionOf, gardenErrorOf } from './spread/garden-error';
import { judgedSpreadOf } from './spread/judged-spread';
import type { WorkingTrial } from './working/working-trial';

/**
 * What each of the crossed factors does: every level against its factor's control level, averaged over the other factors with
 * equal weight, and within each of their levels. Averages are covered together, and so are all that stand within a level
 * (Hothorn, Bretz & Westfall 2008, Biometrical Journal 50, 346-363).
 *
 * @returns none where nothing is crossed; a comparison that the layout can't make is left out
 */
export function factorEffectsOf(
  input: JudgeInput,
  working: WorkingTrial,
  pooled: EffectError | undefined,
  jointly: typeof familiesOf = familiesOf,
): readonly FactorEffect[] {
  if (!pooled || (input.factors?.names.length ?? 0) < 2) return [];
  const compared = levelComparisonsOf(input);
  const averaged = compared
    .filter(isWhole)
    .map(each => ({ ...each, levelOfOther: null, shown: each.pairs }));
  const within = compared.flatMap(withinLevels);
  return [averaged, within].flatMap(family =>
    judgedTogether(family, input, working, pooled, jointly),
  );
}

type ShownComparison = LevelComparison & {
  /** The level of another factor that it is told within; null where it is averaged over all others. */
  readonly levelOfOther: Readonly<Record<string, string>> | null;
  readonly shown: readonly CellPair[];
};

/** Within each level of each other factor, averaged over what is left. */
function withinLevels(compared: LevelComparison): readonly ShownComparison[] {
  const others = Object.keys(compared.pairs[0]?.within ?? {});
  return others.flatMap(other => {
    const levels = [...new Set(compared.pairs.map(pair => pair.within[other] ?? ''))];
    return levels.flatMap((level): ShownComparison[] => {
      const shown = compared.pairs.filter(pair => pair.within[other] === level);
      const cells = compared.cellsWithin(other, level);
      return isWhole({ pairs: shown, cells })
        ? [{ ...compared, levelOfOther: { [other]: level }, shown }]
        : [];
    });
  });
}

function judgedTogether(
  family: readonly ShownComparison[],
  input: JudgeInput,
  working: WorkingTrial,
  pooled: EffectError,
  jointly: typeof familiesOf,
): readonly FactorEffect[] {
  const contexts = family.flatMap(each => {
    const context = contextOf(each, input, working);
    return context && pooled.judges(context.difference) ? [{ each, context }] : [];
  });
  const differences = contexts.map(({ context }) => context.difference);
  const ofGardens = gardenErrorOf(blockInteractionOf(input, working));
  const spread = ofGardens ?? judgedSpreadOf(working, pooled, differences, input.confidence);
  const familyOf = jointly(differences, spread, input.confidence);
  return contexts.map(({ each, context }) => ({
    ...testedContrast(context, { pooled, spread }, familyOf(context.difference)),
    factor: each.factor,
    level: each.level,
    against: each.against,
    within: each.levelOfOther,
  }));
}

/** @returns undefined where the layout can't tell it */
function contextOf(
  { level, against, shown }: ShownComparison,
  input: JudgeInput,
  { trial, model, scale }: WorkingTrial,
): ContrastContext | undefined {
  const share = 1 / shown.length;
  const treated = shown.map(pair => [pair.treated, share] as const);
  const control = shown.map(pair => [pair.control, share] as const);
  const lessControl = control.map(([name, weight]) => [name, -weight] as const);
  const difference = trial.combinationOf(model, [...treated, ...lessControl]);
  if (!difference || shown.length === 0) return undefined;
  const unitsOf = (cells: typeof treated): number =>
    trial.units.filter(unit => cells.some(([name]) => name === unit.treatment)).length;
  return {
    input,
    trial,
    model,
    scale,
    treatment: level,
    controlName: against,
    treated: shown.map(pair => pair.treated),
    controls: shown.map(pair => pair.control),
    difference,
    mean: trial.combinationOf(model, treated),
    control: trial.combinationOf(model, control),
    unitCounts: [unitsOf(treated), unitsOf(control)],
  };
}

/**
 * Whether what one factor does depends on others: the rows of the analysis of variance that hold several of them. One that goes
 * together with another of as many factors gets no number: the row that comes first would take what both share.
 */
export function interactionsOf(
  { factors }: JudgeInput,
  anova: Judgement['anova'],
  { trial }: WorkingTrial,
): readonly Interaction[] {
  const names = new Set(factors?.names ?? []);
  const orderOf = (term: string): number => {
    const parts = term.split(':');
    return parts.every(part => names.has(part)) ? parts.length : 0;
  };
  const rank = (terms: readonly ModelTerm[]): number =>
    orthonormalBasis(
      trial.units.length,
      terms.flatMap(({ columns }) => columns),
    ).vectors.length;
  return trial.terms.flatMap(({ name: term }) => {
    const order = orderOf(term);
    if (order < 2) return [];
    const row = anova.find(each => each.term === term);
    const upTo = trial.terms.filter(({ name }) => orderOf(name) <= order);
    const ofItsOwn = rank(upTo) - rank(upTo.filter(({ name }) => name !== term));
    return [{ term, p: row && row.df === ofItsOwn ? row.p : null }];
  });
}
