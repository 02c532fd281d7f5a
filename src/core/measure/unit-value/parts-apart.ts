import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { measureOfTerm } from './derived-values';

/** A measure of one part of the units, with the trial as far as that part was read. */
export interface PartMeasure {
  readonly measure: Measure;
  readonly part: string;
  readonly data: TrialData;
}

/**
 * Of a measure whose parts are kept apart, each that was read, by its name; none of any other. What is worked out of such a
 * measure is worked out part by part: of two of them, for the parts that were read of both.
 */
export function partsOf(data: TrialData, measure: Measure): readonly PartMeasure[] {
  const apart = readApart(data, measure);
  return sharedParts(data, apart).map(part => {
    const of = { ...measure, name: `${measure.name}, ${part}`, parts: 1, isMain: false };
    return { measure: of, part, data: onlyPart(data, { apart, part, of }) };
  });
}

/** The measures with parts of their own that this one rests on: itself, or what it is worked out of. */
function readApart({ measures }: TrialData, measure: Measure): readonly Measure[] {
  const { scale } = measure;
  const restsOn =
    scale?.kind === 'derived'
      ? [scale.of, scale.by].flatMap(term => measureOfTerm(measures, term) ?? [])
      : [measure];
  return restsOn.filter(({ partsAre }) => partsAre === 'apart');
}

function sharedParts({ readings }: TrialData, apart: readonly Measure[]): readonly string[] {
  const [first = [], ...others] = apart.map(({ id }) =>
    readings.flatMap(({ measureId, subsample }) => (measureId === id ? [subsample] : [])),
  );
  return [...new Set(first)]
    .filter(part => part !== '' && others.every(own => own.includes(part)))
    .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
}

interface OnePart {
  readonly apart: readonly Measure[];
  readonly part: string;
  readonly of: Measure;
}

function onlyPart(data: TrialData, { apart, part, of }: OnePart): TrialData {
  const ids = new Set<string>(apart.map(({ id }) => id));
  return {
    ...data,
    measures: data.measures.map(each =>
      each.id === of.id ? of : ids.has(each.id) ? { ...each, parts: 1 } : each,
    ),
    readings: data.readings.filter(
      ({ measureId, subsample }) => !ids.has(measureId) || subsample === part,
    ),
  };
}
