import type { Margin } from '@/core/judge/question/judge-input';
import type { AnalysisSpec } from '@/core/judge/units/trial-analysis';
import type { Measure } from '@/core/trial/model/measure';

/** What a look changes against the locked plan, in words. */
export function differencesOf(
  planned: AnalysisSpec,
  look: AnalysisSpec,
  measures: readonly Measure[],
  printValue: (value: number) => string,
): readonly string[] {
  const marginWords = (margin: Margin | null): string =>
    margin === null
      ? 'any difference'
      : margin.kind === 'percent'
        ? `${margin.percent}%`
        : printValue(margin.amount);
  const out = look.leftOut.filter(code => !planned.leftOut.includes(code));
  const back = planned.leftOut.filter(code => !look.leftOut.includes(code));
  return [
    ...(JSON.stringify(planned.margin) === JSON.stringify(look.margin)
      ? []
      : [`${marginWords(look.margin)} worth having instead of ${marginWords(planned.margin)}`]),
    ...(planned.measureId === look.measureId
      ? []
      : [
          `${measures.find(measure => measure.id === look.measureId)?.name ?? 'another measure'}, found along the way`,
        ]),
    ...((planned.isByPlace ?? false) === (look.isByPlace ?? false)
      ? []
      : ['the place on the bench allowed for']),
    ...(out.length > 0 ? [`${out.join(', ')} left out`] : []),
    ...(back.length > 0 ? [`${back.join(', ')} back in`] : []),
  ];
}
