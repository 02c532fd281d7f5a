/** How warmth above a base is counted. */
export type DegreeDayMethod =
  /** The mean less the base, never below 0. McMaster & Wilhelm (1997), method 1. */
  | 'simple'
  /** Both ends held between base and upper limit before the mean is taken. McMaster & Wilhelm (1997), method 2, with an upper limit. */
  | 'capped'
  /** A sine curve through lowest and highest, its area between base and upper limit (horizontal cut-off). Baskerville & Emin (1969). */
  | 'sine';

/** Degree days of one day. @param upperC where warmth stops counting, above baseC; leave it out where it never does */
export function degreeDays(
  method: DegreeDayMethod,
  tmaxC: number,
  tminC: number,
  baseC: number,
  upperC = Number.POSITIVE_INFINITY,
): number {
  if (method === 'simple') return Math.max(0, (tmaxC + tminC) / 2 - baseC);
  if (method === 'capped')
    return (held(tmaxC, baseC, upperC) + held(tminC, baseC, upperC)) / 2 - baseC;
  return (
    sineAbove(tmaxC, tminC, baseC) - (Number.isFinite(upperC) ? sineAbove(tmaxC, tminC, upperC) : 0)
  );
}

function held(celsius: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, celsius));
}

/** Area of a day's sine curve above a threshold, in degree days. */
function sineAbove(tmaxC: number, tminC: number, thresholdC: number): number {
  const mean = (tmaxC + tminC) / 2;
  if (thresholdC <= tminC) return mean - thresholdC;
  if (thresholdC >= tmaxC) return 0;
  const half = (tmaxC - tminC) / 2;
  const theta = Math.asin((thresholdC - mean) / half);
  return ((mean - thresholdC) * (Math.PI / 2 - theta) + half * Math.cos(theta)) / Math.PI;
}
