import { seededRandom, shuffleInPlace } from '@/core/stats/distributions/seeded-random';
import { sweepInverse } from '@/core/stats/linear/sweep-inverse';

const RESTARTS = 30;
const SEED = 1; // which sets share a block is part of the plan, not of the deal: the same numbers give the same sets

/**
 * Sets of treatments for blocks that can't hold them all, each set without repeats and the treatments as equally often
 * as may be, chosen so that pairs meet as equally often as may be: (M,S)-optimal by exchange (Eccleston & Hedayat 1974,
 * Annals of Statistics 2, 1238-1255). Where a balanced design exists it is what the search ends at in the cases tested.
 *
 * @param perBlock from 2 to treatments − 1
 * @returns indices of treatments, one set a block
 */
export function incompleteBlockSets(
  treatments: number,
  blocks: number,
  perBlock: number,
): readonly (readonly number[])[] {
  if (!(perBlock >= 2 && perBlock < treatments))
    throw new RangeError(`perBlock must lie in [2, ${treatments - 1}], got ${perBlock}`);
  if (blocks * perBlock < treatments)
    throw new RangeError(
      `${blocks} blocks of ${perBlock} can’t hold ${treatments} treatments once`,
    );
  const random = seededRandom(SEED);
  let best: number[][] = [];
  let bestMeetings = Number.POSITIVE_INFINITY;
  for (let restart = 0; restart < RESTARTS; restart++) {
    const sets = startSets(treatments, blocks, perBlock, random.below);
    const meetings = exchange(sets, treatments);
    if (meetings < bestMeetings) [best, bestMeetings] = [sets, meetings];
  }
  return best;
}

/** Fills blocks with the treatments used least so far, ties in random order. */
function startSets(
  treatments: number,
  blocks: number,
  perBlock: number,
  below: (n: number) => number,
): number[][] {
  const used = new Array<number>(treatments).fill(0);
  return Array.from({ length: blocks }, () => {
    const order = Array.from({ length: treatments }, (_, t) => t);
    shuffleInPlace(order, { below, share: () => 0 });
    const set = order.sort((a, b) => used[a]! - used[b]!).slice(0, perBlock);
    for (const treatment of set) used[treatment]! += 1;
    return set;
  });
}

/** Swaps two treatments between blocks as long as that makes the pairs meet more equally. @returns Σ meetings² */
function exchange(sets: number[][], treatments: number): number {
  let current = meetingSquares(sets, treatments);
  for (let improved = true; improved; ) {
    improved = false;
    for (let a = 0; a < sets.length; a++) {
      for (let b = a + 1; b < sets.length; b++) {
        for (let i = 0; i < sets[a]!.length; i++) {
          for (let j = 0; j < sets[b]!.length; j++) {
            const [x, y] = [sets[a]![i]!, sets[b]![j]!];
            if (sets[a]!.includes(y) || sets[b]!.includes(x)) continue;
            [sets[a]![i], sets[b]![j]] = [y, x];
            const swapped = meetingSquares(sets, treatments);
            if (swapped < current) [current, improved] = [swapped, true];
            else [sets[a]![i], sets[b]![j]] = [x, y];
          }
        }
      }
    }
  }
  return current;
}

function meetingSquares(sets: readonly (readonly number[])[], treatments: number): number {
  return meetings(sets, treatments).reduce(
    (sum, row, a) =>
      sum + row.reduce((square, count, b) => (a < b ? square + count * count : square), 0),
    0,
  );
}

function meetings(
  sets: readonly (readonly number[])[],
  treatments: number,
): readonly (readonly number[])[] {
  const counts = Array.from({ length: treatments }, () => new Array<number>(treatments).fill(0));
  for (const set of sets) for (const a of set) for (const b of set) counts[a]![b]! += 1;
  return counts;
}

/**
 * How well such sets compare treatments, beside complete blocks with as many units of each: the ratio of the mean
 * variances of a difference (John & Williams 1995, Cyclic and Computer Generated Designs, §2.2).
 *
 * @returns in (0, 1]; null where not every pair of treatments can be compared
 */
export function blockEfficiency(
  sets: readonly (readonly number[])[],
  treatments: number,
): number | null {
  const used = Array.from(
    { length: treatments },
    (_, t) => sets.filter(set => set.includes(t)).length,
  );
  const information = Array.from({ length: treatments - 1 }, (_, i) =>
    Array.from(
      { length: treatments - 1 },
      (_other, j) =>
        (i === j ? used[i + 1]! : 0) -
        sets.reduce(
          (sum, set) => sum + (set.includes(i + 1) && set.includes(j + 1) ? 1 / set.length : 0),
          0,
        ),
    ),
  );
  const { inverse, rank } = sweepInverse(information);
  if (rank < treatments - 1) return null;
  const variance = (a: number, b: number): number =>
    a === 0
      ? inverse[b - 1]![b - 1]!
      : inverse[a - 1]![a - 1]! + inverse[b - 1]![b - 1]! - 2 * inverse[a - 1]![b - 1]!;
  let here = 0;
  let complete = 0;
  for (let a = 0; a < treatments; a++) {
    for (let b = a + 1; b < treatments; b++) {
      here += variance(a, b);
      complete += 1 / used[a]! + 1 / used[b]!;
    }
  }
  return complete / here;
}
