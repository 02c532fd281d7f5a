import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A stream of random whole numbers that one seed always repeats. */
export interface SeededRandom {
  /** A whole number in [0, n). */
  readonly below: (n: number) => number;
  /** A fraction in [0, 1), of 32 bits. */
  readonly share: () => number;
}

const TWO_TO_32 = 2 ** 32;
const WARM_UP = 32; // seeds 1, 2, 3 … start close together; after some steps their streams are unrelated

/**
 * The generator of every deal and shuffle: xoroshiro128+ by pure-rand.
 *
 * @param seed a whole number in [0, 2³²)
 */
export function seededRandom(seed: number): SeededRandom {
  if (!Number.isInteger(seed) || seed < 0 || seed >= TWO_TO_32)
    throw new RangeError(`seed must be a whole number in [0, 2^32), got ${seed}`);
  const generator = xoroshiro128plus(seed);
  for (let step = 0; step < WARM_UP; step++) generator.next();
  // Multiply and cut: off by less than n / 2³², which no count of shuffles can show.
  const share = (): number => (generator.next() >>> 0) / TWO_TO_32;
  return { share, below: n => Math.floor(share() * n) };
}

/** Puts entries from..to (exclusive) in random order, in place. Fisher & Yates (1938), after Durstenfeld (1964). */
export function shuffleInPlace<Entry>(
  entries: Entry[],
  random: SeededRandom,
  from = 0,
  to = entries.length,
): void {
  for (let last = to - 1; last > from; last--) {
    const chosen = from + random.below(last - from + 1);
    [entries[last], entries[chosen]] = [entries[chosen]!, entries[last]!];
  }
}

/** A copy of a list in random order. */
export function inRandomOrder<Entry>(
  entries: readonly Entry[],
  random: SeededRandom,
): readonly Entry[] {
  const order = [...entries];
  shuffleInPlace(order, random);
  return order;
}
