import { seededRandom } from '@/core/stats/distributions/seeded-random';
import type { LineInstrument } from './line-instrument';

/** A simulated instrument that sends a line each time its key is pressed. */
export interface KeyStandIn extends LineInstrument {
  readonly press: () => void;
}

/** A caliper closed on something about as thick, which is never read twice alike: it shows to 0.01 mm, hands are good to a tenth. */
export function caliperStandIn(aboutMm: number, seed: number): KeyStandIn {
  const random = seededRandom(seed);
  return keyed(
    'stand-in caliper',
    () =>
      `${Math.max(0, aboutMm * (0.9 + random.below(200) / 1000) + (random.below(20) - 10) / 100).toFixed(2)} mm`,
  );
}

/** A four-step moisture probe; now and then the soil is beyond its steps. */
export function probeStandIn(seed: number): KeyStandIn {
  const random = seededRandom(seed);
  return keyed(
    'stand-in probe',
    () => `P ${['<', '1', '1', '2', '2', '2', '3', '3', '4', '>'][random.below(10)] ?? '2'}`,
  );
}

function keyed(name: string, line: () => string): KeyStandIn {
  const listeners = new Set<(line: string) => void>();
  return {
    name,
    isStandIn: true,
    listen: onLine => {
      listeners.add(onLine);
      return () => {
        listeners.delete(onLine);
      };
    },
    press: () => {
      const said = line();
      for (const listener of listeners) listener(said);
    },
  };
}
