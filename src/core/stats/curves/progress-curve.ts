/** A score or share on a day. */
export interface DayScore {
  readonly days: number;
  readonly value: number;
}

/**
 * Area under a progress curve by trapezoids, in the value's unit times days, and the same over the days it took: the mean
 * level. Shaner & Finney (1977), Phytopathology 67, 1051-1056.
 *
 * @param course at least two days, in their order
 */
export function progressArea(course: readonly DayScore[]): {
  readonly area: number;
  readonly standardised: number;
} {
  const [first, last] = [course[0], course.at(-1)];
  if (!first || !last || first === last) throw new RangeError('a curve needs at least two days');
  const area = course
    .slice(1)
    .reduce(
      (sum, point, i) =>
        sum + ((point.value + course[i]!.value) / 2) * (point.days - course[i]!.days),
      0,
    );
  return { area, standardised: area / (last.days - first.days) };
}
