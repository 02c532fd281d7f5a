import type { Interval } from '@/core/judge/outcomes/judgement';
import { isRead } from '@/core/judge/question/judge-input';
import type { Compared, NaturalScale } from './natural-scale';

/** The model is linear in the logarithm: ratios, whose interval is the call's; differences by those of the two rates. */
export const LOG_SCALE: NaturalScale = {
  level: mean => Math.exp(mean.estimate),
  difference: compared => levelOf(compared) * (ratioOf(compared) - 1),
  interval: (compared, { covariance, critical }) => {
    const { difference, control } = compared;
    if (!control) return null;
    const ofControl = covariance(control, control);
    const own = Math.max(0, covariance(difference, difference) - ofControl);
    const level = levelOf(compared);
    const rate = level * Math.exp(difference.estimate);
    const found = differenceOfRates(
      [rate, critical * Math.sqrt(own)],
      [level, critical * Math.sqrt(ofControl)],
    );
    // On which side of nothing it lies the ratio says: the call rests on that.
    const half = critical * Math.sqrt(covariance(difference, difference));
    return onTheSideOf(difference.estimate - half, difference.estimate + half, found);
  },
  percent: compared => 100 * (ratioOf(compared) - 1),
  percentInterval: ({ difference }, { covariance, critical }) => {
    const half = critical * Math.sqrt(covariance(difference, difference));
    return [
      100 * (Math.exp(difference.estimate - half) - 1),
      100 * (Math.exp(difference.estimate + half) - 1),
    ];
  },
  logRatio: (compared, covariance) =>
    ratioOf(compared) > 0
      ? {
          estimate: compared.difference.estimate,
          se: Math.sqrt(covariance(compared.difference, compared.difference)),
        }
      : null,
  workingMargin: (margin, level) => (level > 0 ? Math.log1p(margin / level) : null),
};

/** Where the treated count nothing at all, half a count stands in for it only to be reckoned with. */
function ratioOf({ input, treated, difference }: Compared): number {
  const own = input.units.filter(isRead).filter(unit => treated.includes(unit.treatment));
  return own.every(unit => unit.value === 0) ? 0 : Math.exp(difference.estimate);
}

function levelOf({ control }: Compared): number {
  return control ? Math.exp(control.estimate) : 0;
}

const BARELY = 1e-9;

function onTheSideOf(low: number, high: number, [from, to]: Interval): Interval {
  const size = Math.max(Math.abs(from), Math.abs(to)) * BARELY;
  if (low > 0) return [Math.max(from, size), to];
  if (high < 0) return [from, Math.min(to, -size)];
  return [Math.min(from, 0), Math.max(to, 0)];
}

/**
 * Interval of a difference from those of its two rates: Zou & Donner (2008), Statistics in Medicine 27, 1693-1702.
 *
 * @param own rate and half the interval of its logarithm
 * @param control the same
 */
function differenceOfRates(
  [own, ownHalf]: readonly [number, number],
  [control, controlHalf]: readonly [number, number],
): Interval {
  const down = (rate: number, half: number): number => rate * (1 - Math.exp(-half));
  const up = (rate: number, half: number): number => rate * (Math.exp(half) - 1);
  const difference = own - control;
  return [
    difference - Math.hypot(down(own, ownHalf), up(control, controlHalf)),
    difference + Math.hypot(up(own, ownHalf), down(control, controlHalf)),
  ];
}
