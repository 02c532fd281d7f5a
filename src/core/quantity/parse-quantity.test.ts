import fc from 'fast-check';
import { parseQuantity, type QuantityContext, type QuantityTrouble } from './parse-quantity';
import { printMass } from './print-quantity';
import { quantitySentence } from './quantity-sentence';
import { UNITS_OF_MEASURE, unitOfMeasure } from './unit-of-measure';

function baseOf(written: string, context: QuantityContext = {}): number {
  const read = parseQuantity(written, context);
  if (!read.ok) throw new Error(`${written}: ${JSON.stringify(read.trouble)}`);
  return read.value.base;
}

function troubleOf(written: string, context: QuantityContext = {}): QuantityTrouble {
  const read = parseQuantity(written, context);
  if (read.ok) throw new Error(`${written} was read as ${read.value.base} ${read.value.dimension}`);
  return read.trouble;
}

// Exact definitions of NIST SP 811 (2008), appendix B.8; sums of them worked by hand.
describe('amounts as people write them', () => {
  test.each([
    ['5 lb 12.7 oz', 2628.0007936875],
    ['8 lb 7.9 oz', 135.9 * 28.349523125],
    ['2lb13.4oz', 45.4 * 28.349523125],
    ['1½ lb', 680.388555],
    ['1 ½ lb', 680.388555],
    ['2.5kg', 2500],
    ['30.6oz', 867.4954076],
    ['0,75 kg', 750],
    [',5 kg', 500],
    ['1 1/2 lb', 680.388555],
    ['3/4 lb', 340.1942775],
    ['5 lb, 3 oz', 83 * 28.349523125],
    ['5 lbs. 2 oz', 82 * 28.349523125],
    ['0 g', 0],
  ])('%s is %d g', (written, grams) => {
    const read = parseQuantity(written);
    expect(read).toMatchObject({ ok: true, value: { dimension: 'mass' } });
    expect(baseOf(written)).toBeCloseTo(grams, 6);
  });

  test.each([
    ['1 tsp', 'us', 4.92892159375],
    ['1 1/2 tbsp', 'us', 22.18014717],
    ['3 tbsp', 'us', 44.36029434],
    ['3 tbsp', 'uk', 45],
    ['1 fl oz', 'us', 29.5735295625],
    ['1 fl. oz.', 'uk', 28.4130625],
    ['1 cup', 'us', 236.5882365],
    ['1 pint', 'us', 473.176473],
    ['1 pint', 'uk', 568.26125],
    ['1 gal', 'us', 3785.411784],
    ['1 gallon', 'uk', 4546.09],
    ['2 imp gal', 'us', 9092.18],
    ['2 US gallons', 'uk', 7570.823568],
    ['1 qt imp', 'us', 1136.5225],
    ['20 ml', 'us', 20],
    ['1 ft3', 'us', 28316.846592],
  ] as const)('%s in a %s garden is %d ml', (written, system, millilitres) => {
    expect(parseQuantity(written, { system })).toMatchObject({
      ok: true,
      value: { dimension: 'volume' },
    });
    expect(baseOf(written, { system })).toBeCloseTo(millilitres, 6);
  });

  test.each([
    ['12"', 304.8],
    ['6 ft', 1828.8],
    [`6' 3"`, 1905],
    ['40 cm', 400],
    ['1 yd', 914.4],
  ])('%s is %d mm', (written, mm) => {
    expect(parseQuantity(written)).toMatchObject({ ok: true, value: { dimension: 'length' } });
    expect(baseOf(written)).toBeCloseTo(mm, 6);
  });

  test('a bare number takes the unit that the field stands for', () => {
    expect(baseOf('184', { bareUnit: 'g' })).toBe(184);
    expect(baseOf('0,5', { bareUnit: 'kg' })).toBe(500);
  });
});

describe('what is asked back', () => {
  test.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['<script>', 'not-a-number'],
    ['about 5 g', 'not-a-number'],
    ['1.2.3 kg', 'not-a-number'],
    ['20-25 ml', 'not-a-number'],
    ['3/0 lb', 'not-a-number'],
    ['1,250 g', 'ambiguous-comma'],
    ['5', 'missing-unit'],
    ['5 lb 12', 'missing-unit'],
    ['2,5o', 'unknown-unit'],
    ['5 furlongs', 'unknown-unit'],
    ['1 t', 'ambiguous-unit'],
    ['1 pint', 'ambiguous-unit'],
    ['3 tbsp', 'ambiguous-unit'],
    ['5 lb 20 oz', 'parts-do-not-fit'],
    ['12 oz 5 lb', 'parts-do-not-fit'],
    ['1.5 lb 3 oz', 'parts-do-not-fit'],
    ['5 lb 3 ml', 'parts-do-not-fit'],
    ['-5 g', 'negative'],
    ['−5 g', 'negative'],
  ])('“%s” is %s', (written, kind) => {
    expect(troubleOf(written).kind).toBe(kind);
  });

  test('ten thousand characters are too long', () => {
    expect(troubleOf('x'.repeat(10_000))).toEqual({
      kind: 'too-long',
      length: 10_000,
      longest: 60,
    });
  });

  test('an ounce is not a fluid ounce, and the sentence says how to write one', () => {
    const trouble = troubleOf('4 oz', { dimension: 'volume', system: 'us' });
    expect(trouble).toEqual({
      kind: 'wrong-dimension',
      read: '4 oz',
      found: 'mass',
      expected: 'volume',
    });
    expect(quantitySentence(trouble, {})).toContain('For a fluid ounce write fl oz.');
  });

  test.each(['mass', 'volume', 'length', 'area'] as const)(
    'the example for a %s is one that its field takes',
    dimension => {
      for (const written of ['', 'wide'])
        for (const system of ['uk', 'us'] as const) {
          const said = quantitySentence(troubleOf(written, { dimension, system }), {
            system,
            wanted: dimension,
          });
          const [, ...examples] = /for example (.+?) or (.+?)\.$/.exec(said) ?? [];
          expect(examples).toHaveLength(2);
          for (const example of examples)
            expect(parseQuantity(example, { dimension, system })).toMatchObject({ ok: true });
        }
    },
  );

  const METRIC = /\d ?(?:g|kg|mg|ml|l|mm|cm|m|m2|sq m)\b|\b(?:kg|mg|ml|mm|cm|m²|ha)\b/;
  const AMERICAN = /\b(?:oz|lb|fl oz|cups?|pt|qt|gal|in|ft|yd|sq ft|acre)\b/;
  test.each(['mass', 'volume', 'length', 'area'] as const)(
    'what is said of a %s has the units of the garden only',
    wanted => {
      for (const written of ['', 'wide', '12', '12 furlongs']) {
        const saidTo = (system: 'uk' | 'us') =>
          quantitySentence(troubleOf(written, { dimension: wanted, system }), { system, wanted });
        expect(saidTo('us')).not.toMatch(METRIC);
        expect(saidTo('us')).toMatch(AMERICAN);
        expect(saidTo('uk').replaceAll(/\bone of|unit\b/g, '')).not.toMatch(AMERICAN);
        expect(saidTo('uk')).toMatch(METRIC);
      }
    },
  );

  test('a pint without a garden names both sizes', () => {
    expect(quantitySentence(troubleOf('1 pint'), {})).toBe(
      '“1 pint” could be US pt (473.18 ml) or UK pt (568.26 ml). Say which.',
    );
  });
});

describe('round trips', () => {
  const contexts = [{ system: 'us' }, { system: 'uk' }] as const;

  test('every unit reads back under every name it has', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          ...UNITS_OF_MEASURE.flatMap(unit => unit.names.map(name => ({ unit, name }))),
        ),
        fc.integer({ min: 0, max: 999_999 }),
        ({ unit, name }, hundredths) => {
          const context =
            contexts.find(candidate => !unit.system || candidate.system === unit.system) ?? {};
          const count = hundredths / 100;
          expect(baseOf(`${count} ${name}`, context)).toBeCloseTo(count * unit.perBase, 4);
        },
      ),
    );
  });

  test('a printed mass reads back within half of its last digit', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 50_000, noNaN: true }), massG => {
        const halfTenthOunce = unitOfMeasure('oz').perBase / 20;
        expect(Math.abs(baseOf(printMass(massG, 'pounds-and-ounces')) - massG)).toBeLessThanOrEqual(
          halfTenthOunce + 1e-9,
        );
        const halfStep = massG < 9.95 ? 0.05 : massG < 9999.5 ? 0.5 : 5;
        expect(Math.abs(baseOf(printMass(massG, 'metric')) - massG)).toBeLessThanOrEqual(
          halfStep + 1e-9,
        );
      }),
    );
  });

  test('no string is too strange: it is read, or its trouble has a sentence', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 80 }),
          fc.string({ unit: fc.constantFrom(...'0123456789.,/½ lboztspgalm"-'), maxLength: 20 }),
        ),
        written => {
          const read = parseQuantity(written, { system: 'us' });
          if (read.ok) expect(read.value.base).toBeGreaterThanOrEqual(0);
          else expect(quantitySentence(read.trouble, { system: 'us' }).length).toBeGreaterThan(10);
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe('printing a mass', () => {
  test.each([
    [2628.0007936875, '5 lb 12.7 oz', '2.628 kg'],
    [453.59237, '1 lb 0 oz', '454 g'],
    [453.58, '1 lb 0 oz', '454 g'],
    [1250, '2 lb 12.1 oz', '1.25 kg'],
    [0, '0 oz', '0 g'],
    [4.25, '0.1 oz', '4.3 g'],
    [999.6, '2 lb 3.3 oz', '1.00 kg'],
  ])('%d g', (massG, pounds, metric) => {
    expect(printMass(massG, 'pounds-and-ounces')).toBe(pounds);
    expect(printMass(massG, 'metric')).toBe(metric);
  });
});
