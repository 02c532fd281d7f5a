/** The middle value, or the mean of the two in the middle. NaN-free input of at least one value. */
export function median(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('a median needs at least one value');
  const sorted = [...values].sort((a, b) => a - b);
  const upper = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[upper]! : (sorted[upper - 1]! + sorted[upper]!) / 2;
}
