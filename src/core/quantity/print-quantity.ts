import { type MeasureSystem, unitOfMeasure } from './unit-of-measure';

/** How a garden likes its figures: metric, or the pounds and ounces of either side of the water. */
export type MassStyle = 'metric' | 'pounds-and-ounces';

/** The garden's usual way of printing a mass. */
export const MASS_STYLE_FOR = { uk: 'metric', us: 'pounds-and-ounces' } as const satisfies Record<
  MeasureSystem,
  MassStyle
>;

/**
 * A mass as the garden writes it: `1.25 kg`, `840 g`, `5 lb 12.7 oz`. To 1 g below 10 kg and to a tenth of an ounce,
 * which is what a kitchen scale gives.
 *
 * @param massG any finite mass; below zero it keeps its sign
 */
export function printMass(massG: number, style: MassStyle): string {
  if (!Number.isFinite(massG)) throw new RangeError(`massG must be finite, got ${massG}`);
  const sign = massG < 0 ? '−' : '';
  const size = Math.abs(massG);
  return sign + (style === 'metric' ? printMetric(size) : printPounds(size));
}

function printMetric(massG: number): string {
  if (massG < 9.95) return `${trimmed(massG.toFixed(1))} g`;
  if (massG < 999.5) return `${Math.round(massG)} g`;
  return massG < 9999.5
    ? `${(massG / 1000).toFixed(3).replace(/0$/, '')} kg`
    : `${(massG / 1000).toFixed(2)} kg`;
}

function printPounds(massG: number): string {
  const tenths = Math.round((massG / unitOfMeasure('oz').perBase) * 10);
  const pounds = Math.floor(tenths / 160);
  const ounces = trimmed(((tenths - pounds * 160) / 10).toFixed(1));
  return pounds === 0 ? `${ounces} oz` : `${pounds} lb ${ounces} oz`;
}

function trimmed(decimal: string): string {
  return decimal.replace(/\.0$/, '');
}
