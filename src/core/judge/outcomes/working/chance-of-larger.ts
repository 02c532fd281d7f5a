import type { Interval } from '@/core/judge/outcomes/judgement';
import { midRanks } from '@/core/stats/categorical/rank-tests';
import { normalQuantile } from '@/core/stats/distributions/distributions';

/** Interval for the chance of larger, from the spread of its placements on the logit scale. Brunner & Munzel (2000), Biometrical Journal 42, 17-25. */
export function chanceInterval(
  treated: readonly number[],
  control: readonly number[],
  value: number,
  confidence: number,
): Interval | null {
  const [m, n] = [treated.length, control.length];
  if (m < 2 || n < 2 || value <= 0 || value >= 1) return null;
  const ranks = midRanks([...treated, ...control]);
  const own = [midRanks(treated), midRanks(control)] as const;
  const spread = (placements: readonly number[]): number => {
    const mean = placements.reduce((sum, each) => sum + each, 0) / placements.length;
    return placements.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (placements.length - 1);
  };
  const [st, sc] = [
    spread(treated.map((_, i) => (ranks[i]! - own[0][i]!) / n)),
    spread(control.map((_, i) => (ranks[m + i]! - own[1][i]!) / m)),
  ];
  const se = Math.sqrt(st / m + sc / n) / (value * (1 - value));
  const [logit, half] = [
    Math.log(value / (1 - value)),
    normalQuantile(1 - (1 - confidence) / 2) * se,
  ];
  return [logit - half, logit + half].map(each => 1 / (1 + Math.exp(-each))) as unknown as Interval;
}
