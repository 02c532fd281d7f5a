import type { TrialData } from '@/core/trial/model/trial-data';
import { counted } from '@/core/words/plural';

/** How far one reader is from himself when a unit is read twice. */
export interface ReaderError {
  readonly pairs: number;
  /** In the measure's unit: s = √(Σd² / 2n). Dahlberg (1940), Statistical Methods for Medical and Biological Students. */
  readonly sd: number;
  /** A later reading against the first: above zero where the second look gives more. */
  readonly meanDifference: number;
}

/** From pairs of first and second readings of the same units on the same day; undefined where there are none. */
export function readerError(
  pairs: readonly (readonly [first: number, second: number])[],
): ReaderError | undefined {
  if (pairs.length === 0) return undefined;
  const differences = pairs.map(([first, second]) => second - first);
  return {
    pairs: pairs.length,
    sd: Math.sqrt(differences.reduce((sum, each) => sum + each * each, 0) / (2 * pairs.length)),
    meanDifference: differences.reduce((sum, each) => sum + each, 0) / pairs.length,
  };
}

/** The same in words, of every measure that was read twice; null where none was. */
export function readerErrorWords(data: Pick<TrialData, 'measures' | 'readings'>): string | null {
  const words = data.measures
    .filter(measure => measure.scale !== null)
    .flatMap(measure => {
      const own = data.readings.filter(
        reading => reading.measureId === measure.id && reading.value !== null,
      );
      const pairs = own
        .filter(reading => reading.isRepeat)
        .flatMap((second): (readonly [number, number])[] => {
          const first = own.find(
            each =>
              !each.isRepeat &&
              each.unitId === second.unitId &&
              each.subsample === second.subsample &&
              each.takenOn === second.takenOn,
          );
          return first?.value != null && second.value !== null ? [[first.value, second.value]] : [];
        });
      const error = readerError(pairs);
      return error
        ? [
            `${measure.name}: ${counted(error.pairs, 'value')} read twice differ by ±${Number(error.sd.toPrecision(2))}${measure.unit === '' ? '' : ` ${measure.unit}`}`,
          ]
        : [];
    });
  return words.length === 0 ? null : `The reader’s own error: ${words.join('; ')}.`;
}
