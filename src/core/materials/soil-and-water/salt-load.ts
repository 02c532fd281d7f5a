/** Salt that stays behind on a spot. */
export interface SaltLoad {
  readonly gPerL: number;
  readonly gPerM2: number;
}

// A season's load above which most crops suffer, at about 2 g a litre in the upper 10 cm of soil. Common practice, no source.
const HARMFUL_G_PER_M2 = 200;

/** All that repeats add up to: salt does not go away. @param litres to each application on areaM2 */
export function saltLoad(
  saltG: number,
  inMl: number,
  litres: number,
  areaM2: number,
  times: number,
): SaltLoad {
  const gPerL = (1000 * saltG) / inMl;
  return { gPerL, gPerM2: (gPerL * litres * times) / areaM2 };
}

export function isSaltHarmful({ gPerM2 }: SaltLoad): boolean {
  return gPerM2 > HARMFUL_G_PER_M2;
}
