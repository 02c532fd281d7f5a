import type { TrialModel } from '@/core/design/linear/trial-model';
import type { Contrast, OtherScale } from '@/core/judge/outcomes/judgement';
import { errorAnalysisOf } from '@/core/judge/outcomes/spread/error-strata';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { midRanks } from '@/core/stats/categorical/rank-tests';

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
  const plain = new Map(contrasts.map(contrast => [contrast.treatment, directionOf(contrast)]));
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

/** Which way the interval says that the call rests on. */
function directionOf(contrast: Contrast): Direction {
  const [low, high] = (contrast.estimable && contrast.ciAdjusted) || [0, 0];
  if (low > 0) return 'up';
  return high < 0 ? 'down' : 'cant-tell';
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
