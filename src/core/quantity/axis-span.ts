export type Span = readonly [low: number, high: number];

/** From where to where an axis is drawn. */
export interface AxisRange {
  readonly min: number;
  readonly max: number;
}

/**
 * What a picture's axis spans: all that was seen, and of the ranges about it as far as leaves what was seen a third of the width.
 * Of two seasons a mean may lie anywhere from nothing to forty times as much: a picture of that would show nothing else.
 *
 * @param least where the axis may not go below, such as −100%, unless something was seen there
 */
export function axisSpan(
  seen: readonly number[],
  ranges: readonly number[],
  least = Number.NEGATIVE_INFINITY,
): Span {
  const [low, high] = [Math.min(...seen), Math.max(...seen)];
  const all = [Math.min(low, ...ranges), Math.max(high, ...ranges)] as const;
  const reach = high > low ? high - low : Number.POSITIVE_INFINITY;
  return [Math.min(low, Math.max(all[0], low - reach, least)), Math.min(all[1], high + reach)];
}

/** The smallest of 1, 2 or 5 times a power of ten that is not below `least`. */
export function roundStep(least: number): number {
  const power = 10 ** Math.floor(Math.log10(least));
  // A hair's breadth of rounding must not lift 0.2 to 0.5.
  return power * ([1, 2, 5].find(times => times * power >= least * (1 - 1e-9)) ?? 10);
}

/** The span in whole round steps, about six of them. */
export function roundSpan([low, high]: Span): AxisRange {
  const step = roundStep(Math.max(high - low, 1e-9) / 6);
  return { min: Math.floor(low / step) * step, max: Math.ceil(high / step) * step };
}

/** Two to seven round values within a span: 1, 2 or 5 times a power of ten of a unit apart. */
export function roundTicks([low, high]: Span, unit = 1): readonly number[] {
  const step = unit * roundStep((high - low) / unit / 6);
  const first = Math.ceil(low / step);
  const last = Math.floor(high / step);
  return Array.from({ length: last - first + 1 }, (_, i) => (first + i) * step);
}

/** Where a range is drawn to, and on which sides it goes on beyond the picture. */
export function cutAt(
  [from, to]: Span,
  { min, max }: AxisRange,
): { readonly drawn: Span; readonly beyond: readonly [below: boolean, above: boolean] } {
  const within = (end: number): number => Math.min(Math.max(end, min), max);
  return { drawn: [within(from), within(to)], beyond: [from < min, to > max] };
}
