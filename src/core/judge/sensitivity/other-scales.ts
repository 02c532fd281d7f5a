import type { TrialModel } from '@/core/design/linear/trial-model';
import { errorAnalysisOf } from '@/core/judge/outcomes/error-strata';
import type { Contrast, OtherScale } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { midRanks } from '@/core/stats/categorical/rank-tests';
import { welchTest } from '@/core/stats/linear/welch';

type Direction = OtherScale['directions'][number]['direction'];

/**
 * Whether a treatment still differs, and which way, on the log scale (where all readings are above zero) and on ranks
 * (Conover & Iman 1981, The American Statistician 35, 124-129). Same model, same critical value.
 */
export function lookOnOtherScales(
  input: JudgeInput,
  trial: TrialModel,
  contrasts: readonly Contrast[],
  criticalT: number,
): readonly OtherScale[] {
  const values = trial.units.map(unit => unit.value);
  const plain = directionsOf(input, trial, values, criticalT);
  const look = (scale: OtherScale['scale'], changed: readonly number[]): OtherScale => {
    const directions = directionsOf(input, trial, changed, criticalT);
    const shown = contrasts
      .filter(contrast => contrast.estimable)
      .map(({ treatment }) => ({ treatment, direction: directions.get(treatment) ?? 'cant-tell' }));
    return {
      scale,
      directions: shown,
      changes: shown.some(({ treatment, direction }) => plain.get(treatment) !== direction),
    };
  };
  return [
    ...(values.every(value => value > 0) ? [look('log', values.map(Math.log))] : []),
    look('ranks', midRanks(values)),
  ];
}

/**
 * Whether a treatment still differs, and which way, where each keeps its own spread: Welch's t, shared out equally to the
 * comparisons. Only where nothing else is in the model that a spread could come from.
 *
 * @returns undefined where the layout has blocks, beds, a covariate or places
 */
export function lookByOwnSpread(
  input: JudgeInput,
  trial: TrialModel,
  contrasts: readonly Contrast[],
  criticalT: number,
): OtherScale | undefined {
  if (
    trial.blockTerms.length > 0 ||
    trial.wholePlot ||
    trial.covariate ||
    trial.placeColumns.length > 0
  )
    return undefined;
  const plain = directionsOf(
    input,
    trial,
    trial.units.map(unit => unit.value),
    criticalT,
  );
  const shown = contrasts.filter(contrast => contrast.estimable);
  const valuesOf = (name: string): readonly number[] =>
    trial.units.filter(unit => unit.treatment === name).map(unit => unit.value);
  const directions = shown.map(({ treatment }) => {
    const [low, high] = welchTest(valuesOf(treatment), valuesOf(input.control))?.intervalAt(
      1 - (1 - input.confidence) / shown.length,
    ) ?? [0, 0];
    return {
      treatment,
      direction: low > 0 ? ('up' as const) : high < 0 ? ('down' as const) : ('cant-tell' as const),
    };
  });
  return {
    scale: 'own-spread',
    directions,
    changes: directions.some(({ treatment, direction }) => plain.get(treatment) !== direction),
  };
}

function directionsOf(
  input: JudgeInput,
  trial: TrialModel,
  values: readonly number[],
  criticalT: number,
): ReadonlyMap<string, Direction> {
  const model = trial.fit(values);
  const { spread } = errorAnalysisOf(
    { ...trial, units: trial.units.map((unit, i) => ({ ...unit, value: values[i]! })) },
    model,
  );
  return new Map(
    input.treatments
      .filter(name => name !== input.control)
      .map((treatment): [string, Direction] => {
        const difference = trial.differenceOf(model, treatment, input.control);
        if (!difference || !spread?.judges(difference)) return [treatment, 'cant-tell'];
        const reach = criticalT * Math.sqrt(spread.covariance(difference, difference));
        if (difference.estimate > reach) return [treatment, 'up'];
        return [treatment, difference.estimate < -reach ? 'down' : 'cant-tell'];
      }),
  );
}
