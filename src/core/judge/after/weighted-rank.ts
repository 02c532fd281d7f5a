import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import type { ScoreRow } from './scorecard';

/** Where a treatment comes out when measures are weighed. */
export interface WeightedPlace {
  readonly treatment: string;
  /** Mean standing over the measures, by their weights. */
  readonly score: number;
  /** How often it comes first when every weight is moved about. */
  readonly firstShare: number;
}

const MOVES = 1000;
const MOVED_BY = 0.7; // each weight is halved or doubled about once in three moves

/**
 * Treatments in the order of their weighted standings, with how firm that order is: each weight is multiplied at random, and
 * counted who comes first. A rank by weights is a taste, no result.
 *
 * @param weights by measure, ≥ 0; a measure without one counts nothing
 */
export function weightedRank(
  rows: readonly ScoreRow[],
  weights: Readonly<Record<string, number>>,
  seed = 1,
): readonly WeightedPlace[] {
  const used = rows.filter(
    row =>
      row.part === null &&
      (weights[row.measureId] ?? 0) > 0 &&
      row.cells.every(cell => cell.standing !== null),
  );
  const treatments = used[0]?.cells.map(cell => cell.treatment) ?? [];
  if (treatments.length === 0) return [];
  const scoresBy = (weightOf: (row: ScoreRow) => number): readonly number[] => {
    const all = used.reduce((sum, row) => sum + weightOf(row), 0);
    return treatments.map(
      (_, i) =>
        used.reduce((sum, row) => sum + weightOf(row) * (row.cells[i]?.standing ?? 0), 0) / all,
    );
  };
  const random = seededRandom(seed);
  const first = treatments.map(() => 0);
  for (let move = 0; move < MOVES; move++) {
    const moved = new Map(
      used.map(row => [
        row.measureId,
        (weights[row.measureId] ?? 0) * Math.exp(MOVED_BY * normalDraw(random)),
      ]),
    );
    const scores = scoresBy(row => moved.get(row.measureId) ?? 0);
    const at = scores.indexOf(Math.max(...scores));
    first[at] = (first[at] ?? 0) + 1;
  }
  const plain = scoresBy(row => weights[row.measureId] ?? 0);
  return treatments
    .map((treatment, i) => ({
      treatment,
      score: plain[i] ?? 0,
      firstShare: (first[i] ?? 0) / MOVES,
    }))
    .sort((a, b) => b.score - a.score);
}
