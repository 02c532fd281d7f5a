/** A p as one says it of a game: 4 of 100, 3 of 1,000. */
export function howOften(p: number): string {
  if (p >= 0.01) return `${Math.round(100 * p)} of 100`;
  return p >= 0.001 ? `${Math.round(1000 * p)} of 1,000` : 'fewer than 1 in 1,000';
}
