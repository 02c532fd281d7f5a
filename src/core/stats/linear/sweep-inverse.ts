/** A generalised inverse of a symmetric nonnegative matrix, with what it could solve for. */
export interface SweptInverse {
  /** Rows and columns that can't be solved for are zero. */
  readonly inverse: readonly (readonly number[])[];
  readonly rank: number;
  /** Whether each single unknown is determined: the inverse gives its unit vector back. */
  readonly solvable: readonly boolean[];
}

const SOLVED = 1e-6;

/** By the sweep operator (Goodnight 1979, The American Statistician 33, 149-158). */
export function sweepInverse(matrix: readonly (readonly number[])[]): SweptInverse {
  const a = matrix.map(row => [...row]);
  const size = a.length;
  const swept: boolean[] = [];
  for (let pivot = 0; pivot < size; pivot++) {
    const row = a[pivot]!;
    const d = row[pivot]!;
    swept[pivot] = d > 1e-9 * Math.max(1e-300, matrix[pivot]![pivot]!);
    if (!swept[pivot]) continue;
    for (let i = 0; i < size; i++) {
      if (i === pivot) continue;
      const other = a[i]!;
      const b = other[pivot]! / d;
      for (let j = 0; j < size; j++) if (j !== pivot) other[j]! -= b * row[j]!;
      other[pivot] = -b;
    }
    for (let j = 0; j < size; j++) if (j !== pivot) row[j]! /= d;
    row[pivot] = 1 / d;
  }
  const rank = swept.filter(Boolean).length;
  if (rank === size) return { inverse: a, rank, solvable: swept };
  const inverse = a.map((row, i) => row.map((value, j) => (swept[i] && swept[j] ? value : 0)));
  const solvable = inverse.map((row, i) =>
    matrix.every((_, j) => {
      const given = row.reduce((sum, value, l) => sum + value * matrix[l]![j]!, 0);
      return Math.abs(given - Number(i === j)) < SOLVED;
    }),
  );
  return { inverse, rank, solvable };
}
