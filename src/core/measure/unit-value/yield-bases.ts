/** What a unit's harvest may be counted by. */
export interface YieldMeasures {
  /** Ground or open top of the unit. */
  readonly areaM2: number | undefined;
  /** Mix that was filled in. */
  readonly mixMl: number | undefined;
  /** Work of the season at one unit. */
  readonly minutes: number;
}

/** A yield by one base: kilograms a square metre, grams a litre of mix, kilograms an hour of work. */
export interface YieldBase {
  readonly base: 'm2' | 'litre' | 'hour';
  readonly value: number;
  readonly words: string;
}

/** One harvest by all bases at once: what wins by the row need not win by the square metre. */
export function yieldBases(
  netG: number,
  { areaM2, mixMl, minutes }: YieldMeasures,
): readonly YieldBase[] {
  const figure = (value: number): string => String(Number(value.toPrecision(3)));
  const byArea = areaM2 === undefined ? undefined : netG / 1000 / areaM2;
  const byMix = mixMl === undefined ? undefined : netG / (mixMl / 1000);
  const byHour = minutes <= 0 ? undefined : netG / 1000 / (minutes / 60);
  return [
    ...(byArea === undefined
      ? []
      : [{ base: 'm2' as const, value: byArea, words: `${figure(byArea)} kg a square metre` }]),
    ...(byMix === undefined
      ? []
      : [{ base: 'litre' as const, value: byMix, words: `${figure(byMix)} g a litre of mix` }]),
    ...(byHour === undefined
      ? []
      : [{ base: 'hour' as const, value: byHour, words: `${figure(byHour)} kg an hour of work` }]),
  ];
}
