import { type TogetherMeasure, togetherMeasure } from '@/core/judge/together/together-measure';
import { gapSize, gapWords } from '@/core/judge/together/together-words';
import { toldIn } from '@/core/judge/together/told-in';
import type { TypedSummary } from '@/core/judge/together/typed-source';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { TrialData } from '@/core/trial/model/trial-data';

/** What others told, in words, and what differences are typed in for this question. */
export function toldByOthers<Heard>(
  { measures }: Pick<TrialData, 'measures'>,
  system: MeasureSystem,
  told: { readonly typed: readonly TypedSummary[]; readonly heard: readonly Heard[] },
) {
  const measure = togetherMeasure(measures, system);
  const { isPercent, unit } = toldIn(measure);
  return {
    toldIn: isPercent ? '% of the control' : unit || measure.response,
    typed: told.typed.map(each => ({
      id: each.id,
      from: each.from,
      says: typedWords(each, measure),
    })),
    heard: told.heard,
  };
}

/** `feed 1 12% more beans than plain water (standard error 5%)`. */
function typedWords(typed: TypedSummary, measure: TogetherMeasure): string {
  const { treatment, control, percent, difference, se } = typed;
  const scale = percent === null ? 'difference' : 'percent';
  const gap = gapWords(percent ?? difference ?? 0, scale, measure);
  return `${treatment}, ${gap} than ${control} (standard error ${gapSize(se, scale, measure)})`;
}
