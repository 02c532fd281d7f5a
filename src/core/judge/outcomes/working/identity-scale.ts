import { fiellerInterval } from '@/core/stats/linear/fieller';
import type { NaturalScale } from './natural-scale';

/** The model is linear in what was read: differences of means, and their share of the control by Fieller. */
export const IDENTITY_SCALE: NaturalScale = {
  level: mean => mean.estimate,
  difference: ({ difference }) => difference.estimate,
  interval: ({ difference }, { covariance, critical }) => {
    const half = critical * Math.sqrt(covariance(difference, difference));
    return [difference.estimate - half, difference.estimate + half];
  },
  percent: ({ difference, control }) =>
    control && control.estimate > 0 ? (100 * difference.estimate) / control.estimate : null,
  percentInterval: ({ mean, control }, { covariance, critical }) => {
    if (!mean || !control || control.estimate <= 0) return null;
    const ratio = fiellerInterval(mean, control, covariance, critical);
    return ratio && [100 * (ratio[0] - 1), 100 * (ratio[1] - 1)];
  },
  logRatio: ({ mean, control }, covariance) => {
    if (!mean || !control || mean.estimate <= 0 || control.estimate <= 0) return null;
    const [m, c] = [mean.estimate, control.estimate];
    // By the delta method: Hedges, Gurevitch & Curtis (1999), Ecology 80, 1150-1156, eq. 1, with means that may be correlated.
    const variance =
      covariance(mean, mean) / m ** 2 +
      covariance(control, control) / c ** 2 -
      (2 * covariance(mean, control)) / (m * c);
    return { estimate: Math.log(m / c), se: Math.sqrt(Math.max(0, variance)) };
  },
  workingMargin: margin => margin,
};
