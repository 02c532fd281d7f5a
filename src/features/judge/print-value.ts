import { type MassStyle, printMass } from '@/core/quantity/print-quantity';
import type { Measure } from '@/core/trial/trial-data';

/** A value of a measure as the garden prints it; differences keep their sign. */
export function valuePrinter(measure: Measure, style: MassStyle): (value: number) => string {
  if (measure.unit === 'g') return value => printMass(value, style);
  return value => `${value < 0 ? '−' : ''}${Number(Math.abs(value).toPrecision(3))}${measure.unit === 'mm' ? ' mm' : ''}`;
}

/** A p-value as one reads it. */
export function printP(p: number | null): string {
  if (p === null) return '—';
  return p < 0.001 ? 'below 0.001' : p.toFixed(3);
}

/** A figure to four significant digits, with a true minus. */
export function printFigure(value: number): string {
  return String(Number(Math.abs(value).toPrecision(4))).replace(/^/, value < 0 ? '−' : '');
}
