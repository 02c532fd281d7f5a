import { type MassStyle, printMass } from '@/core/quantity/print-quantity';
import type { Measure } from '@/core/trial/trial-data';

/** A value of a measure as the garden prints it; differences keep their sign. */
export function valuePrinter(measure: Pick<Measure, 'unit'>, style: MassStyle): (value: number) => string {
  if (measure.unit === 'g') return value => printMass(value, style);
  return value => `${value < 0 ? '−' : ''}${Number(Math.abs(value).toPrecision(3))}${measure.unit === 'mm' ? ' mm' : ''}`;
}
