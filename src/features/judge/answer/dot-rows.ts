import { figureOf, isRead } from '@/core/judge/question/judge-input';
import type { Analysis } from '@/core/judge/units/trial-analysis';
import { marginAmount } from '@/core/judge/verdict/call';
import { gapFigure } from '@/core/judge/verdict/gap-figures';
import { isToldInPercent, shownInterval } from '@/core/judge/verdict/shown-interval';
import { type AxisRange, axisSpan, roundSpan } from '@/core/quantity/axis-span';
import type { TagView } from '@/features/bench/bench-view';

/** One treatment's row: its pots, and its interval against the control, all on the axis. */
export interface DotRow {
  readonly tag: TagView;
  /** How far off the control it lies, in words; null of the control and without a test. */
  readonly gap: string | null;
  readonly points: readonly { readonly code: string; readonly x: number; readonly value: number }[];
  /** Where the estimate lies, and the ends of the interval that its call rests on; null for the control and without a test. */
  readonly estimate: number | null;
  readonly interval: readonly [number, number] | null;
}

/** The chart of every pot as data: in percent of the control's mean where that is above zero, else in the measure's unit. */
export interface DotRows {
  readonly axis: 'percent' | 'value';
  readonly rows: readonly DotRow[];
  readonly control: number;
  /** The band of what does not matter; null without a margin. */
  readonly band: readonly [number, number] | null;
}

export function dotRowsOf(
  { input, judgement }: Analysis,
  tags: readonly TagView[],
  printValue: (value: number) => string,
): DotRows {
  const controlMean =
    judgement.adjustedMeans[input.control] ??
    judgement.groups.find(group => group.treatment === input.control)?.mean ??
    0;
  // A share or a step in percent of the control's would be taken for points.
  const hasPercent =
    isToldInPercent(input) && (input.outcome === 'continuous' || input.outcome === 'count');
  const axis = controlMean > 0 && hasPercent ? 'percent' : 'value';
  const onAxis = (value: number): number =>
    axis === 'percent' ? (100 * value) / controlMean : value;
  const margin = marginAmount(input.margin, controlMean);
  const control = onAxis(controlMean);
  return {
    axis,
    control,
    band: margin > 0 ? [onAxis(controlMean - margin), onAxis(controlMean + margin)] : null,
    // The control stands last, as what the others are held against.
    rows: [...tags]
      .sort((a, b) => Number(a.index < 0) - Number(b.index < 0))
      .map(tag => {
        const contrast = judgement.contrasts.find(candidate => candidate.treatment === tag.name);
        const isTested = contrast?.estimable === true;
        const { ci, percentCi } = isTested
          ? shownInterval(contrast, input)
          : { ci: null, percentCi: null };
        return {
          tag,
          gap:
            isTested && contrast.call !== 'no-test' ? gapFigure(contrast, input, printValue) : null,
          points: input.units.flatMap(unit =>
            isRead(unit) && unit.treatment === tag.name
              ? [{ code: unit.id, value: figureOf(unit), x: onAxis(figureOf(unit)) }]
              : [],
          ),
          estimate: isTested ? onAxis(controlMean + contrast.difference) : null,
          interval:
            axis === 'percent' && percentCi
              ? [100 + percentCi[0], 100 + percentCi[1]]
              : ci
                ? [onAxis(controlMean + ci[0]), onAxis(controlMean + ci[1])]
                : null,
        };
      }),
  };
}

/** From where to where the dots are drawn, with some room at the ends; a share of the control's never goes below nothing. */
export function axisOfDots({ rows, control, axis }: DotRows): AxisRange {
  const seen = rows.flatMap(({ points, estimate }) => [
    ...points.map(({ x }) => x),
    ...(estimate === null ? [] : [estimate]),
  ]);
  const ranges = rows.flatMap(({ interval }) => interval ?? []);
  const least = axis === 'percent' ? 0 : Number.NEGATIVE_INFINITY;
  const [low, high] = axisSpan([control, ...seen], ranges, least);
  const room = (high - low) * 0.02;
  return roundSpan([Math.max(low - room, Math.min(low, least)), high + room]);
}
