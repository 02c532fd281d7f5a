import { seededRandom, shuffleInPlace } from '@/core/stats/distributions/seeded-random';

// Letters that are not those of plant labels' first, and not mistaken for each other in wet ink.
const LETTERS = ['K', 'R', 'T', 'V', 'W', 'X', 'Y', 'Z', 'L', 'M', 'P', 'S'] as const;

/** A code for each treatment's bottle, by lot: who pours reads the code and need not know what is in it. */
export function bottleCodes(
  treatmentIds: readonly string[],
  seed: number,
): Readonly<Record<string, string>> {
  const letters: string[] = [...LETTERS];
  shuffleInPlace(letters, seededRandom(seed));
  return Object.fromEntries(
    treatmentIds.map((id, i) => [
      id,
      (letters[i % letters.length] ?? 'K').repeat(1 + Math.floor(i / letters.length)),
    ]),
  );
}
