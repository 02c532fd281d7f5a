import { roundTicks } from '@/core/quantity/axis-span';
import { MASS_STYLE_FOR } from '@/core/quantity/print-quantity';
import { roundUnit, valuePrinter } from './print-measure';

const WEIGHT = { unit: 'g', summary: 'sound-weight' } as const;
const HEIGHT = { unit: 'mm', summary: 'reading-last' } as const;

/** The figures on an axis from nothing to `most`, as they are printed. */
function figures(
  measure: Parameters<typeof roundUnit>[0],
  system: 'uk' | 'us',
  most: number,
): readonly string[] {
  const style = MASS_STYLE_FOR[system];
  return roundTicks([0, most], roundUnit(measure, style, most)).map(valuePrinter(measure, style));
}

test('a metric garden’s axis counts in grams', () => {
  expect(figures(WEIGHT, 'uk', 800)).toEqual(['0 g', '200 g', '400 g', '600 g', '800 g']);
});

test('an American garden’s axis counts in ounces, in half pounds, in pounds: none of its figures is odd', () => {
  // Seen in a report: 7.1 oz, 14.1 oz, 1 lb 5.2 oz, 1 lb 12.2 oz, which are 200 g to 800 g.
  expect(figures(WEIGHT, 'us', 800)).toEqual([
    '0 oz',
    '5 oz',
    '10 oz',
    '15 oz',
    '1 lb 4 oz',
    '1 lb 9 oz',
  ]);
  expect(figures(WEIGHT, 'us', 2000)).toEqual([
    '0 oz',
    '1 lb 0 oz',
    '2 lb 0 oz',
    '3 lb 0 oz',
    '4 lb 0 oz',
  ]);
  expect(figures(WEIGHT, 'us', 8000)).toEqual(['0 oz', '5 lb 0 oz', '10 lb 0 oz', '15 lb 0 oz']);
  expect(figures(HEIGHT, 'us', 900)).toEqual(['0 in', '10 in', '20 in', '30 in']);
});

test('what has no weight stays as it is', () => {
  expect(figures({ unit: 'count', summary: 'reading-last' }, 'us', 30)).toEqual(
    figures({ unit: 'count', summary: 'reading-last' }, 'uk', 30),
  );
});
