// R's lm drops a column when what is new in it is below 1e-7 of its length (dqrdc2); we drop the same ones.
const RANK_TOLERANCE = 1e-7;

/** Scalar product of two vectors of one length. */
export function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!;
  return sum;
}

/** Orthonormal vectors that span an intercept and the columns, with the coordinates of every column in them. */
export interface OrthonormalBasis {
  readonly vectors: readonly (readonly number[])[];
  /** For each column (the intercept first): its coordinates, and its own vector's index, or −1 if it brought none. */
  readonly columns: readonly { readonly coordinates: readonly number[]; readonly vector: number }[];
}

/**
 * Takes the columns in order and keeps what is new in each.
 *
 * @param intercept the column that stands for it, where units have weights
 */
export function orthonormalBasis(
  length: number,
  columns: readonly (readonly number[])[],
  intercept: readonly number[] = new Array<number>(length).fill(1),
): OrthonormalBasis {
  const vectors: number[][] = [];
  const placed = [intercept, ...columns].map(column => {
    const rest = [...column];
    const coordinates = new Array<number>(vectors.length).fill(0);
    for (let pass = 0; pass < 2; pass++) {
      vectors.forEach((vector, j) => {
        const along = dot(vector, rest);
        coordinates[j]! += along;
        for (let i = 0; i < length; i++) rest[i]! -= along * vector[i]!;
      });
    }
    const size = Math.sqrt(dot(rest, rest));
    if (!(size > RANK_TOLERANCE * Math.sqrt(dot(column, column))))
      return { coordinates, vector: -1 };
    vectors.push(rest.map(value => value / size));
    return { coordinates: [...coordinates, size], vector: vectors.length - 1 };
  });
  return { vectors, columns: placed };
}
