import fc from 'fast-check';
import { ratioMeanings } from '@/core/materials/mix/ratio-words';
import { doseFor, fromMadeUp } from '../label-rate';
import { parseLabelRate } from './parse-label-rate';
import { rateSentence } from './rate-trouble';

const read = (written: string, system: 'us' | 'uk' | undefined = 'uk') => {
  const rate = parseLabelRate(written, { system });
  return rate.ok ? rate.value : rate.trouble;
};

test.each([
  ['20 ml to 4.5 litres', { of: 'volume', low: 20, high: 20, per: { kind: 'water', ml: 4500 } }],
  ['1 part to 16', { of: 'volume', low: 1, high: 1, per: { kind: 'water', ml: 17 } }],
  [
    '16 parts water to 1 part feed',
    { of: 'volume', low: 1, high: 1, per: { kind: 'water', ml: 17 } },
  ],
  ['70 g per square metre', { of: 'mass', low: 70, high: 70, per: { kind: 'area', m2: 1 } }],
  ['a cap (15 ml) in 4.5 l', { of: 'volume', low: 15, high: 15, per: { kind: 'water', ml: 4500 } }],
  ['5-10 ml per litre', { of: 'volume', low: 5, high: 10, per: { kind: 'water', ml: 1000 } }],
  ['5 to 10 ml to the litre', { of: 'volume', low: 5, high: 10, per: { kind: 'water', ml: 1000 } }],
  ['between 30 g and 50 g per plant', { of: 'mass', low: 30, high: 50, per: { kind: 'plant' } }],
  ['3 g / litre of compost', { of: 'mass', low: 3, high: 3, per: { kind: 'mix', ml: 1000 } }],
  ['half a teaspoon per pot', { of: 'volume', low: 2.5, high: 2.5, per: { kind: 'container' } }],
  ['100 g per metre of row', { of: 'mass', low: 100, high: 100, per: { kind: 'row', mm: 1000 } }],
  ['1 tablespoon for each tomato', { kind: 'per', read: 'tomato' }],
  ['20 ml in a can (9 l)', { of: 'volume', low: 20, high: 20, per: { kind: 'water', ml: 9000 } }],
  ['70 g/m²', { of: 'mass', low: 70, high: 70, per: { kind: 'area', m2: 1 } }],
  [
    '1½ tsp in 2 litres of water',
    { of: 'volume', low: 7.5, high: 7.5, per: { kind: 'water', ml: 2000 } },
  ],
])('%s', (written, expected) => {
  expect(read(written)).toMatchObject(expected);
});

test.each([
  '',
  '20 ml',
  '1 tbsp',
  '1 tbsp per fence',
  'a handful per plant',
  '1 lb 20 oz in 1 gal',
])('“%s” is answered with the measures of the garden', written => {
  const read = parseLabelRate(written, { system: 'us' });
  if (read.ok) throw new Error('it must be asked back');
  expect(rateSentence(read.trouble, { system: 'us' }).replaceAll(written, '')).not.toMatch(
    /\d ?(?:g|kg|ml|l|mm|cm|m)\b|litre|square metre|gram/,
  );
});

test('gallons and spoons go by the garden, or are asked back', () => {
  expect(read('1/4 tsp per gallon', 'us')).toMatchObject({
    low: expect.closeTo(1.2322, 4),
    per: { kind: 'water', ml: expect.closeTo(3785.41, 2) },
  });
  expect(parseLabelRate('20 ml per gallon')).toMatchObject({ ok: false });
  expect(read('2 lb per 1000 sq ft')).toMatchObject({
    of: 'mass',
    per: { kind: 'area', m2: expect.closeTo(92.903, 3) },
  });
});

test.each([
  ['', 'empty', 'as on the label'],
  ['20 ml', 'no-per', 'not for what'],
  ['a handful per plant', 'uncalibrated', 'Weigh or measure five'],
  ['3 to 1', 'ambiguous-ratio', 'Say which'],
  ['1 in 10', 'ambiguous-ratio', 'Say which'],
  ['1:16', 'ambiguous-ratio', 'Say which'],
  ['10 to 5 ml per litre', 'falling-range', 'smaller number first'],
  ['0 ml per litre', 'zero', 'no rate'],
  ['20 furlongs per litre', 'amount', ''],
  ['20 cm per litre', 'amount', ''],
  ['20 ml per moon', 'per', 'is not something'],
  ['a pinch in 2 l', 'uncalibrated', 'pinch'],
])('%s is asked back: %s', (written, kind, sentence) => {
  const rate = parseLabelRate(written, { system: 'uk' });
  expect(rate).toMatchObject({ ok: false, trouble: { kind } });
  if (!rate.ok) expect(rateSentence(rate.trouble, { system: undefined })).toContain(sentence);
});

test('whatever is written, it is a rate above nothing or a sentence', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.stringMatching(
          /^[\d ./-]{0,6}(ml|g|tsp|part|parts|cap|%)? ?(per|to|in|\/|more)? ?[\d.]{0,4} ?(l|gallon|plant|m2|sq ft|water)?$/,
        ),
      ),
      written => {
        const rate = parseLabelRate(written, { system: 'us' });
        if (rate.ok)
          expect(
            rate.value.low > 0 &&
              rate.value.high >= rate.value.low &&
              Number.isFinite(rate.value.high),
          ).toBe(true);
        else expect(rateSentence(rate.trouble, { system: undefined }).length).toBeGreaterThan(10);
      },
    ),
  );
});

test('a label rate in is the same label rate out: what it means for its own volume of water is its own amount', () => {
  const amounts = fc.integer({ min: 1, max: 5000 }).map(tenths => tenths / 10);
  fc.assert(
    fc.property(
      amounts,
      amounts,
      fc.integer({ min: 1, max: 200 }),
      fc.constantFrom('ml', 'g'),
      (low, more, tenths, unit) => {
        const high = Number((low + more).toFixed(1));
        const litres = tenths / 10;
        const rate = parseLabelRate(`${low}-${high} ${unit} per ${litres} l`, { system: 'uk' });
        if (!rate.ok) throw new Error(rateSentence(rate.trouble, { system: undefined }));
        expect([
          doseFor(rate.value, 'low', 1, { waterMl: litres * 1000 }),
          doseFor(rate.value, 'high', 1, { waterMl: litres * 1000 }),
        ]).toEqual([expect.closeTo(low, 9), expect.closeTo(high, 9)]);
        expect(doseFor(rate.value, 'middle', 2, { waterMl: litres * 500 })).toBeCloseTo(
          (low + high) / 2,
          9,
        );
        expect(doseFor(rate.value, 'low', 1, {})).toBeUndefined();
      },
    ),
  );
});

test('so much made up: how many pots, and how strong', () => {
  const rate = parseLabelRate('20 ml in 4.5 l', { system: 'uk' });
  if (!rate.ok) throw new Error('must be read');
  expect(fromMadeUp(5000, 750, 10, rate.value)).toEqual({
    units: 6,
    leftMl: 500,
    strength: expect.closeTo(0.45, 9),
  });
});

test.each([
  ['3 to 1', 2],
  ['1 part to 16', 1],
  ['50 50', 2],
  ['130% more', 2],
  ['30 % more', 1],
  ['1:1', 1],
  ['1 in 10', 2],
  ['a lot', 0],
  ['2 parts to 1', 2],
])('“%s” can mean %i things', (phrase, meanings) => {
  expect(ratioMeanings(phrase)).toHaveLength(meanings);
});

test('130% more is 2.3 times as much, or 1.3 times', () => {
  expect(ratioMeanings('130% more')).toMatchObject([
    { kind: 'times', factor: 2.3 },
    { kind: 'times', factor: 1.3 },
  ]);
});

describe('caps and handfuls that were weighed', () => {
  const loose = [
    { name: 'handful', of: 'mass' as const, mean: 34 },
    { name: 'cap', of: 'volume' as const, mean: 14.2 },
  ];
  test.each([
    ['a handful per plant', 'mass', 34, 34],
    ['2 handfuls per square metre', 'mass', 68, 68],
    ['half a cap in 4.5 l', 'volume', 7.1, 7.1],
    ['1-2 caps in 4.5 l', 'volume', 14.2, 28.4],
    ['one cap to 4.5 litres', 'volume', 14.2, 14.2],
  ])('%s', (written, of, low, high) => {
    expect(parseLabelRate(written, { system: 'uk', loose })).toMatchObject({
      ok: true,
      value: { of, low: expect.closeTo(low, 9), high: expect.closeTo(high, 9), asWritten: written },
    });
  });
  test('what nobody weighed is still asked back', () => {
    expect(parseLabelRate('a squirt in 4.5 l', { system: 'uk', loose })).toMatchObject({
      ok: false,
      trouble: { kind: 'uncalibrated', measure: 'squirt' },
    });
  });
});
