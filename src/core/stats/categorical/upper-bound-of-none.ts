/** The share that 0 of n still leaves possible: 1 − (1 − confidence)^(1/n), one-sided. */
export function upperBoundOfNone(n: number, confidence = 0.95): number {
  return 1 - (1 - confidence) ** (1 / n);
}
