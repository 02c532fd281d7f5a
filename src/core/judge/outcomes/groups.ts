import {
  figureOf,
  isRead,
  type JudgeInput,
  type ReadUnit,
} from '@/core/judge/question/judge-input';
import { wilsonInterval } from '@/core/stats/categorical/share-intervals';
import { median } from '@/core/stats/median';
import { medianWait } from '@/core/stats/survival/survival';
import type { TreatmentGroup } from './judgement';
import { pseudoWaits, waitedOf } from './working/waits';
import { shareOf } from './working/yes-no-scale';

/** Plain figures of every treatment that gave something. */
export function groupsOf(input: JudgeInput): readonly TreatmentGroup[] {
  const waits = input.outcome === 'time' ? pseudoWaits(input) : null;
  return input.treatments.flatMap((treatment): TreatmentGroup[] => {
    const own = input.units.flatMap((unit, i) =>
      isRead(unit) && unit.treatment === treatment
        ? [{ unit, figure: waits?.[i] ?? figureOf(unit) }]
        : [],
    );
    if (own.length === 0) return [];
    const units = own.map(({ unit }) => unit);
    const figures = own.map(({ figure }) => figure);
    const n = units.length;
    // Of quotients it is the quotient of the sums; elsewhere all weigh the same.
    const weights = units.map(unit => (input.outcome === 'continuous' ? (unit.effort ?? 1) : 1));
    const weight = weights.reduce((sum, each) => sum + each, 0) / n;
    const sumOf = (of: (figure: number) => number): number =>
      figures.reduce((sum, figure, i) => sum + (of(figure) * (weights[i] ?? 1)) / weight, 0);
    const mean = sumOf(figure => figure) / n;
    const square = sumOf(figure => (figure - mean) ** 2);
    return [
      {
        treatment,
        n,
        mean,
        sd: n > 1 ? Math.sqrt(square / (n - 1)) : null,
        median: input.outcome === 'time' ? medianWait(waitedOf(units)) : median(figures),
        share: input.outcome === 'proportion' ? shareFigures(units, input.confidence) : null,
        came: input.outcome === 'time' ? units.filter(unit => unit.hasCome).length : null,
      },
    ];
  });
}

function shareFigures(units: readonly ReadUnit[], confidence: number): TreatmentGroup['share'] {
  const { k, n } = shareOf(units);
  return { k, of: n, ci: wilsonInterval(k, n, confidence) };
}
