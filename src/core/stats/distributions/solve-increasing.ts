/**
 * Where an increasing function crosses a target, by bisection made faster with the secant (Illinois rule).
 *
 * @param digits relative width at which the bracket is narrow enough
 * @param from a point at or below the crossing; the upper end is found by doubling the distance from it
 */
export function solveIncreasing(
  f: (x: number) => number,
  target: number,
  from: number,
  step: number,
  digits = 1e-9,
): number {
  let low = from;
  let lowGap = f(low) - target;
  let high = from + step;
  let highGap = f(high) - target;
  for (let doubling = 0; highGap < 0; doubling++) {
    if (doubling > 60) throw new RangeError('the function never reaches its target');
    [low, lowGap] = [high, highGap];
    high += step * 2 ** doubling;
    highGap = f(high) - target;
  }
  for (let round = 0; round < 100 && high - low > digits * Math.max(1, Math.abs(high)); round++) {
    const middle = low + ((high - low) * -lowGap) / (highGap - lowGap || 1);
    const gap = f(middle) - target;
    if (Math.abs(gap) < 1e-12) return middle;
    if (gap < 0) {
      [low, lowGap] = [middle, gap];
      highGap /= 2;
    } else {
      [high, highGap] = [middle, gap];
      lowGap /= 2;
    }
  }
  return (low + high) / 2;
}
