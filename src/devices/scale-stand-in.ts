import { seededRandom } from '@/core/stats/distributions/seeded-random';
import type { BenchScale } from './bench-scale';

/** A simulated scale: it swings in to what is put on, drifts a little, and prints a line five times a second. */
export interface ScaleStandIn extends BenchScale {
  /** Puts something on the pan, or takes all off: 0. */
  readonly put: (massG: number) => void;
}

const EVERY_MS = 200;
const DRIFT_G = 0.002; // a line

export function scaleStandIn(seed: number): ScaleStandIn {
  const random = seededRandom(seed);
  let [onPan, shown, swing, zero, tared] = [0, 0, 0, 0, 0];
  const step = (): string => {
    // A damped swing: what is missing pulls, and the pan loses two fifths of its way each time.
    swing = 0.55 * swing + 0.6 * (onPan - shown);
    shown += swing * 0.7;
    zero += DRIFT_G;
    const noise = (random.below(100) - 50) / 500;
    const isStable = Math.abs(swing) < 0.3 && Math.abs(onPan - shown) < 0.3;
    return `${isStable ? 'ST' : 'US'} ${(shown + zero - tared + noise).toFixed(1)} g`;
  };
  return {
    name: 'stand-in scale',
    isStandIn: true,
    listen: onLine => {
      const timer = setInterval(() => onLine(step()), EVERY_MS);
      return () => clearInterval(timer);
    },
    tare: () => {
      tared = shown + zero;
    },
    put: massG => {
      onPan = massG;
    },
  };
}
