import { v7 } from 'uuid';
import { normalQuantile } from '@/core/stats/distributions/distributions';
import { type SeededRandom, seededRandom } from '@/core/stats/distributions/seeded-random';

/** What a made-up season draws from: the same seed gives the same pots, picks and ids. */
export interface SeasonDice {
  readonly below: (bound: number) => number;
  /** A standard normal. */
  readonly normal: () => number;
  readonly newId: () => string;
}

/** @param startMs when the ids claim to have been made: later ids sort after earlier ones */
export function seasonDice(seed: number, startMs: number): SeasonDice {
  const random: SeededRandom = seededRandom(seed);
  let made = 0;
  return {
    below: bound => random.below(bound),
    normal: () => normalQuantile((random.below(1_000_000) + 0.5) / 1_000_000),
    newId: () =>
      v7({
        msecs: startMs + made++,
        random: Uint8Array.from({ length: 16 }, () => random.below(256)),
      }),
  };
}
