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
  workingMargin: margin => margin,
};
