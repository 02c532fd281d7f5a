import { printTemperature } from './temperature';
import { type MeasureSystem, unitOfMeasure } from './unit-of-measure';

const LENGTHS = /(\d+(?:\.\d+)?)(?: to (\d+(?:\.\d+)?))? (mm|cm|m)\b/g;
const TEMPERATURES = /(\d+)(?: to (\d+))? °C/g;

/**
 * A sentence of ours with its lengths and temperatures as the garden's own ruler and thermometer say them, to two figures: “over 2 cm”
 * reads “over 0.79 in”. Never for what a gardener wrote.
 */
export function rulerWords(sentence: string, system: MeasureSystem): string {
  if (system === 'uk') return sentence;
  return sentence
    .replace(LENGTHS, (_, from: string, to: string | undefined, unit: string) =>
      [from, to]
        .flatMap(length => (length === undefined ? [] : inInches(Number(length), unit)))
        .join(' to ')
        .concat(' in'),
    )
    .replace(TEMPERATURES, (_, from: string, to: string | undefined) =>
      [from, to]
        .flatMap(degrees =>
          degrees === undefined ? [] : printTemperature(Number(degrees), system),
        )
        .join(' to '),
    );
}

function inInches(length: number, unit: string): string {
  const mm = length * unitOfMeasure(unit).perBase;
  return String(Number((mm / unitOfMeasure('in').perBase).toPrecision(2)));
}

/** How a measure is taken: the library's own words by the garden's ruler, a gardener's as they were written. */
export function definitionWords(
  measure: { readonly definition: string; readonly kindKey: string | null },
  system: MeasureSystem,
): string {
  return measure.kindKey === null ? measure.definition : rulerWords(measure.definition, system);
}
