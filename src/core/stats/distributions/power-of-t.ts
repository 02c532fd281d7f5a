import { normalCdf } from './distributions';
import { spreadQuadrature } from './quadrature';

/**
 * The chance that a two-sided t comparison with a true shift is seen: P(|T′| > critical) for the noncentral t.
 * P(T′ > c) = E over S of Φ(δ − cS) (Johnson, Kotz & Balakrishnan 1995, Continuous Univariate Distributions 2, ch. 31).
 *
 * @param shift true difference over its standard error
 * @param critical the |t| that counts as seen, > 0; may be adjusted for several comparisons
 */
export function powerOfT(shift: number, critical: number, df: number): number {
  const spread = spreadQuadrature(df);
  let power = 0;
  for (let i = 0; i < spread.points.length; i++) {
    const bound = critical * spread.points[i]!;
    power += spread.weights[i]! * (normalCdf(shift - bound) + normalCdf(-shift - bound));
  }
  return power;
}
