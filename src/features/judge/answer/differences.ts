import type { Margin } from '@/core/judge/question/judge-input';
import type { AnalysisSpec } from '@/core/judge/units/trial-analysis';
import type { Measure } from '@/core/trial/model/measure';

/** What a look changes against the locked plan, in words. */
export function differencesOf(
  planned: AnalysisSpec,
  spec: AnalysisSpec,
  measures: readonly Measure[],
  printValue: (value: number) => string,
): readonly string[] {
  const marginWords = (margin: Margin | null): string =>
    margin === null
      ? 'any difference'
      : margin.kind === 'percent'
        ? `${margin.percent}%`
        : printValue(margin.amount);
  const out = spec.leftOut.filter(code => !planned.leftOut.includes(code));
  const back = planned.leftOut.filter(code => !spec.leftOut.includes(code));
  return [
    ...(JSON.stringify(planned.margin) === JSON.stringify(spec.margin)
      ? []
      : [
          `smallest difference worth having ${marginWords(spec.margin)} instead of ${marginWords(planned.margin)}`,
        ]),
    ...(planned.measureId === spec.measureId
      ? []
      : [
          `${measures.find(measure => measure.id === spec.measureId)?.name ?? 'another measure'}, found along the way`,
        ]),
    ...((planned.isByPlace ?? false) === (spec.isByPlace ?? false)
      ? []
      : ['the place on the bench allowed for']),
    ...(out.length > 0 ? [`${out.join(', ')} left out`] : []),
    ...(back.length > 0 ? [`${back.join(', ')} back in`] : []),
  ];
}
