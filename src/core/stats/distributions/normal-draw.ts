import type { SeededRandom } from './seeded-random';

/** One draw from the standard normal. Box & Muller (1958), Annals of Mathematical Statistics 29, 610-611. */
export function normalDraw(random: SeededRandom): number {
  return Math.sqrt(-2 * Math.log(1 - random.share())) * Math.cos(2 * Math.PI * random.share());
}
