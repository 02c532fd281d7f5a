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

/** A volume as the garden measures it out: `3.3 ml`, `1.5 l`; `0.67 tsp`, `2 tbsp`, `6 fl oz`, `1.5 gal`. To three figures. @param ml any finite volume */
export function printVolume(ml: number, system: MeasureSystem): string {
  const size = Math.abs(ml);
  if (system === 'uk') return size >= 1000 ? printIn(ml, 'l') : printIn(ml, 'ml');
  if (size < unitOfMeasure('us-tbsp').perBase) return printIn(ml, 'us-tsp');
  if (size < unitOfMeasure('us-floz').perBase * 2) return printIn(ml, 'us-tbsp');
  return size < unitOfMeasure('us-qt').perBase ? printIn(ml, 'us-floz') : printIn(ml, 'us-gal');
}

/** A mass to measure out, to three figures: `4.9 g`, `2.4 kg`; `0.17 oz`, `2.5 lb`. @param massG any finite mass */
export function printDoseMass(massG: number, system: MeasureSystem): string {
  const size = Math.abs(massG);
  if (system === 'uk') return size >= 1000 ? printIn(massG, 'kg') : printIn(massG, 'g');
  return size >= unitOfMeasure('lb').perBase ? printIn(massG, 'lb') : printIn(massG, 'oz');
}

/** A length: `12 mm`, `30 cm`, `2.4 m`; `12 in`, `8 ft`. To three figures. @param mm any finite length */
export function printLength(mm: number, system: MeasureSystem): string {
  const size = Math.abs(mm);
  if (system === 'us') return size >= 12 * 8 * 25.4 ? printIn(mm, 'ft') : printIn(mm, 'in');
  if (size >= 1000) return printIn(mm, 'm');
  return size >= 100 ? printIn(mm, 'cm') : printIn(mm, 'mm');
}

/** Rain, or water that plants use, as a gauge shows it: `4.2 mm`, `12 mm`; `0.17 in`. @param mm ≥ 0 */
export function printRain(mm: number, system: MeasureSystem): string {
  if (system === 'us') return `${(mm / 25.4).toFixed(2)} in`;
  return `${mm < 10 ? Number(mm.toFixed(1)) : Math.round(mm)} mm`;
}

/** An area: `0.07 m²`, `4 sq ft`. To three figures. @param m2 any finite area */
export function printArea(m2: number, system: MeasureSystem): string {
  return system === 'us'
    ? `${threeFigures(m2 / unitOfMeasure('ft2').perBase)} sq ft`
    : printIn(m2, 'm2');
}

/**
 * What a field shows of an amount that is kept, in the garden's own unit: read again, it is the same to a millionth.
 *
 * @param base ml, mm or g, ≥ 0
 */
export function writeAmount(
  base: number,
  of: 'volume' | 'length' | 'mass',
  system: MeasureSystem,
): string {
  const { perBase, names } = unitOfMeasure(fieldUnit(base, of, system));
  return `${Number((base / perBase).toPrecision(7))} ${names[0]}`;
}

function fieldUnit(base: number, of: 'volume' | 'length' | 'mass', system: MeasureSystem): string {
  if (of === 'mass' && system === 'us') return base >= unitOfMeasure('lb').perBase ? 'lb' : 'oz';
  if (of === 'mass') return base >= 1000 ? 'kg' : 'g';
  if (of === 'length') return system === 'us' ? 'in' : base >= 10 ? 'cm' : 'mm';
  if (system === 'uk') return base >= 1000 ? 'l' : 'ml';
  if (base >= unitOfMeasure('us-qt').perBase) return 'us-gal';
  return base >= unitOfMeasure('us-floz').perBase ? 'us-floz' : 'us-tsp';
}

function printIn(base: number, key: string): string {
  const { perBase, names } = unitOfMeasure(key);
  return `${threeFigures(base / perBase)} ${names[0]}`;
}

function threeFigures(value: number): string {
  return String(Number(value.toPrecision(3)));
}
