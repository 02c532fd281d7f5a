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
