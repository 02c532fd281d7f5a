import type { NaturalScale } from './natural-scale';

/** Of shares and days a percentage of the control would be taken for points, or for a share of the days. */
export function withoutPercent(scale: NaturalScale): NaturalScale {
  return { ...scale, percent: () => null, percentInterval: () => null, logRatio: () => null };
}
