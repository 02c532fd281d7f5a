import { type MassStyle, printMass } from '@/core/quantity/print-quantity';
import { unitOfMeasure } from '@/core/quantity/unit-of-measure';
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

const G_IN_POUND = unitOfMeasure('lb').perBase;

/**
 * What the round figures of a picture are multiples of, in the measure's stored unit: an ounce where the garden counts in them,
 * half a pound where they go on beyond two pounds, a pound beyond five.
 *
 * @param most the largest figure of the picture
 */
export function roundUnit(
  { unit, summary }: Pick<Measure, 'unit' | 'summary'>,
  style: MassStyle,
  most: number,
): number {
  const isPounds = style !== 'metric' && unit === 'g' && summary !== 'reading-area';
  if (isPounds && most > 2 * G_IN_POUND) return most > 5 * G_IN_POUND ? G_IN_POUND : G_IN_POUND / 2;
  return shownUnit(unit, style === 'metric' ? 'uk' : 'us').base;
}

const BARE = ['', 'count', 'pH'];

function suffixOf(unit: string, summary: Measure['summary']): string {
  if (summary === 'reading-area') return BARE.includes(unit) ? '' : ` ${unit}·days`;
  return BARE.includes(unit) ? '' : unit === '%' ? '%' : ` ${unit}`;
}
