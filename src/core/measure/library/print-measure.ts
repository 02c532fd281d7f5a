import { type MassStyle, printMass } from '@/core/quantity/print-quantity';
import type { Measure } from '@/core/trial/model/measure';
import { shownUnit } from './shown-unit';

/** A value of a measure as the garden prints it; differences keep their sign. */
export function valuePrinter(
  { unit, summary }: Pick<Measure, 'unit' | 'summary'>,
  style: MassStyle,
): (value: number) => string {
  const over = summary === 'reading-rate' ? ' a day' : '';
  if (unit === 'g' && summary !== 'reading-area')
    return value => `${printMass(value, style)}${over}`;
  const { name, base } = shownUnit(unit, style === 'metric' ? 'uk' : 'us');
  const behind = suffixOf(name, summary);
  return value =>
    `${value < 0 ? '−' : ''}${Number((Math.abs(value) / base).toPrecision(3))}${behind}${over}`;
}

const BARE = ['', 'count', 'pH'];

function suffixOf(unit: string, summary: Measure['summary']): string {
  if (summary === 'reading-area') return BARE.includes(unit) ? '' : ` ${unit}·days`;
  return BARE.includes(unit) ? '' : unit === '%' ? '%' : ` ${unit}`;
}
