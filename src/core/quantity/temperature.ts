import type { MeasureSystem } from './unit-of-measure';

/** The zero of the two scales lies 32 °F apart, and 9 °F are as much as 5 °C. */
const FREEZING_F = 32;
const F_A_DEGREE = 9 / 5;

export function celsiusOf(degrees: number, unit: 'C' | 'F'): number {
  return unit === 'C' ? degrees : (degrees - FREEZING_F) / F_A_DEGREE;
}

function shown(celsius: number, system: MeasureSystem): number {
  return system === 'us' ? celsius * F_A_DEGREE + FREEZING_F : celsius;
}

/** What the scale of a garden is called: `°C`, `°F`. */
export function scaleOf(system: MeasureSystem): '°C' | '°F' {
  return system === 'us' ? '°F' : '°C';
}

/** A temperature: `21 °C`, `70 °F`. @param digits behind the point */
export function printTemperature(celsius: number, system: MeasureSystem, digits = 0): string {
  return `${bareTemperature(celsius, system, digits)} ${scaleOf(system)}`;
}

/** The figure of a temperature alone, as in a table. */
export function bareTemperature(celsius: number, system: MeasureSystem, digits = 0): string {
  // Near freezing a rounded figure may come out as −0.
  return String(Number(shown(celsius, system).toFixed(digits)))
    .replace('-', '−')
    .replace(/^−0$/, '0');
}

/** A sum of degrees over days: no zero is taken off. `1520` of Celsius are `2736` of Fahrenheit. */
export function degreeDaysIn(celsiusDays: number, system: MeasureSystem): number {
  return system === 'us' ? celsiusDays * F_A_DEGREE : celsiusDays;
}

/**
 * Reads a temperature: `25`, `25 °C`, `77F`, `-3,5`; a bare figure is on the garden's own scale.
 *
 * @returns °C; undefined where it is none
 */
export function readTemperature(written: string, system: MeasureSystem): number | undefined {
  const found = /^([-−]?\d+(?:[.,]\d+)?)\s*(?:°\s*)?([CF])?$/i.exec(written.trim());
  if (!found) return undefined;
  const degrees = Number((found[1] ?? '').replace(',', '.').replace('−', '-'));
  const said = (found[2] ?? '').toUpperCase();
  return celsiusOf(degrees, said === 'F' || (said === '' && system === 'us') ? 'F' : 'C');
}
