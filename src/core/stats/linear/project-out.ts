/** What is left of a column when all that orthonormal vectors explain is taken out; twice, so that rounding goes, too. */
export function projectOut(
  values: readonly number[],
  basis: readonly (readonly number[])[],
): Float64Array {
  const rest = Float64Array.from(values);
  for (let pass = 0; pass < 2; pass++) {
    for (const vector of basis) {
      let along = 0;
      for (let unit = 0; unit < rest.length; unit++) along += vector[unit]! * rest[unit]!;
      for (let unit = 0; unit < rest.length; unit++) rest[unit]! -= along * vector[unit]!;
    }
  }
  return rest;
}

export function squareSum(values: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += values[i]! * values[i]!;
  return sum;
}
