// Rates in the words of gardeners and labels, and what each means. The ways of saying them are common practice, no source; what
// comes out is arithmetic: units of measure by NIST SP 811 (Thompson & Taylor, 2008), oxides by molar masses.
import { type DoseTarget, doseFor } from '@/core/materials/label/label-rate';
import { analysisFixture } from '@/core/trial/fixtures/product-fixture';
import { parseLabelRate, type RateContext } from './parse-label-rate';
import { rateChoices, rateSentence } from './rate-trouble';

const US = { system: 'us' } as const;
const UK = { system: 'uk' } as const;
const grade = (n: number, p: number, k: number) => ({
  product: { analysis: analysisFixture(n, p, k), densityGPerMl: null },
});
const LOOSE = {
  ...UK,
  loose: [
    { name: 'handful', of: 'mass' as const, mean: 40 },
    { name: 'capful', of: 'volume' as const, mean: 12 },
  ],
};

const TABLESPOON = 14.78676478125;
const GALLON = 3785.411784;
const IMPERIAL = 4546.09;
const POUND = 453.59237;
const OUNCE = 28.349523125;
const ACRE = 4046.8564224;
const FOOT2 = 0.09290304;

type Row = readonly [
  written: string,
  context: RateContext,
  target: DoseTarget,
  dose: number | readonly [number, number],
  everyDays?: number,
];

const READ: readonly Row[] = [
  // Into water.
  ['20 ml to 4.5 litres', UK, { waterMl: 500 }, 20 / 9],
  ['20ml per 4.5L', UK, { waterMl: 1500 }, 20 / 3],
  ['20 ml/4.5 l', UK, { waterMl: 4500 }, 20],
  ['10 mL per 4.5 L of water', UK, { waterMl: 1500 }, 10 / 3],
  ['5 ml in 1 litre', UK, { waterMl: 250 }, 1.25],
  ['5 ml per litre of water', UK, { waterMl: 2000 }, 10],
  ['5-10 ml per litre', UK, { waterMl: 1000 }, [5, 10]],
  ['5 to 10 ml to the litre', UK, { waterMl: 1000 }, [5, 10]],
  ['between 5 and 10 ml per litre', UK, { waterMl: 1000 }, [5, 10]],
  ['half a capful (6 ml) in 1 l', UK, { waterMl: 1000 }, 6],
  ['a cap (15 ml) in 4.5 l', UK, { waterMl: 4500 }, 15],
  ['one capful in 5 litres', LOOSE, { waterMl: 5000 }, 12],
  ['1½ tsp in 2 litres of water', UK, { waterMl: 2000 }, 7.5],
  ['1-1/2 tsp per gallon', US, { waterMl: GALLON }, TABLESPOON / 2],
  ['1 1/2 tsp per gallon', US, { waterMl: GALLON }, TABLESPOON / 2],
  ['one and a half teaspoons per gallon', US, { waterMl: GALLON }, TABLESPOON / 2],
  ['1/4 tsp per gallon', US, { waterMl: GALLON }, TABLESPOON / 12],
  ['a quarter teaspoon per gallon', US, { waterMl: GALLON }, TABLESPOON / 12],
  ['1 tbsp/gal', US, { waterMl: GALLON / 2 }, TABLESPOON / 2],
  ['1 Tbsp per US gal', UK, { waterMl: GALLON }, 15],
  ['2 tablespoonfuls to a gallon', UK, { waterMl: IMPERIAL }, 30],
  ['1 tbsp per gallon, weekly', US, { waterMl: 2000 }, (2000 * TABLESPOON) / GALLON, 7],
  ['1 tbsp per gallon every 2 weeks', US, { waterMl: GALLON }, TABLESPOON, 14],
  ['20 ml in 4.5 l once a fortnight', UK, { waterMl: 4500 }, 20, 14],
  ['20 ml in 4.5 l, every 10 days', UK, { waterMl: 4500 }, 20, 10],
  ['20 ml in 4.5 l every other day', UK, { waterMl: 4500 }, 20, 2],
  ['20 ml in 4.5 l daily', UK, { waterMl: 4500 }, 20, 1],
  ['70 g per square metre, monthly', UK, { areaM2: 1 }, 70, 30],
  ['1 cup per 5 gallons', US, { waterMl: GALLON * 5 }, TABLESPOON * 16],
  ['2 fl oz per gallon', US, { waterMl: GALLON }, TABLESPOON * 4],
  ['1 fl. oz. per quart', US, { waterMl: GALLON / 4 }, TABLESPOON * 2],
  ['1 oz per 5 gal', US, { waterMl: GALLON * 5 }, OUNCE],
  ['20 ml in a can (9 l)', UK, { waterMl: 9000 }, 20],
  ['20 ml in a 9 l watering can', UK, { waterMl: 9000 }, 20],
  ['2 tsp in a 2 gallon watering can', US, { waterMl: GALLON * 2 }, (TABLESPOON * 2) / 3],
  ['20 ml in 4 l for 3 plants', UK, { plants: 3 }, 20],
  ['20 ml in 4 l for 3 plants', UK, { plants: 1 }, 20 / 3],
  ['20 ml in 4 l for 3 plants', UK, { waterMl: 2000 }, 10],
  ['20 ml in 4 l over 3 plants', UK, { plants: 6 }, 40],
  ['20 ml in 4 litres, for 3 tomato plants', UK, { plants: 3 }, 20],
  // Parts and per cent: what is added makes the whole more.
  ['1 part to 16', UK, { waterMl: 1700 }, 100],
  ['1 part to 16 parts water', UK, { waterMl: 1700 }, 100],
  ['16 parts water to 1 part feed', UK, { waterMl: 1700 }, 100],
  ['1 part added to 10 parts of water', UK, { waterMl: 1100 }, 100],
  ['3 parts added to 1 parts of water', UK, { waterMl: 1000 }, 750],
  ['2%', UK, { waterMl: 1000 }, 20],
  ['0.5% solution', UK, { waterMl: 2000 }, 10],
  ['6 tbsp into 1 US gal', US, { waterMl: GALLON + 6 * TABLESPOON }, 6 * TABLESPOON],
  ['100 ml added to 1 l', UK, { waterMl: 1100 }, 100],
  ['100 ml made up to 1 l', UK, { waterMl: 1000 }, 100],
  ['100-200 ml added to 1 l', UK, { waterMl: 1200 }, [(1200 * 100) / 1100, 200]],
  // By area.
  ['70 g per square metre', UK, { areaM2: 0.0707 }, 70 * 0.0707],
  ['70 g/m²', UK, { areaM2: 3.07 }, 70 * 3.07],
  ['70g/m2', UK, { areaM2: 1 }, 70],
  ['100 grams per sq. m', UK, { areaM2: 2 }, 200],
  ['2 oz per sq yd', UK, { areaM2: 0.83612736 }, 2 * OUNCE],
  ['4 oz to the square yard', UK, { areaM2: 0.83612736 }, 4 * OUNCE],
  ['2 lb per 1000 sq ft', US, { areaM2: 1 }, (2 * POUND) / (1000 * FOOT2)],
  ['1.5 lb per 1,000 sq ft', US, { areaM2: 1000 * FOOT2 }, 1.5 * POUND],
  ['3 pounds per 100 square feet of bed', US, { areaM2: 100 * FOOT2 }, 3 * POUND],
  ['5 lb per 4 x 8 ft bed', US, { areaM2: 32 * FOOT2 }, 5 * POUND],
  ['1 kg per 1 m x 2 m', UK, { areaM2: 2 }, 1000],
  ['174 lb per acre', US, { areaM2: ACRE }, 174 * POUND],
  ['200 kg/ha', UK, { areaM2: 10 }, 200],
  ['2 handfuls per square metre', LOOSE, { areaM2: 1 }, 80],
  ['1 cup per 10 sq ft', US, { areaM2: 10 * FOOT2 }, TABLESPOON * 16],
  // Of a nutrient.
  [
    '1 lb N per 1000 sq ft',
    { ...US, ...grade(10, 5, 5) },
    { areaM2: 50 * FOOT2 },
    (POUND / 0.1) * 0.05,
  ],
  ['1 lb N per 1000 sq ft', { ...US, ...grade(24, 0, 0) }, { areaM2: 1000 * FOOT2 }, POUND / 0.24],
  [
    '1 lb of actual nitrogen per 1000 sq ft',
    { ...US, ...grade(24, 0, 0) },
    { areaM2: 1000 * FOOT2 },
    POUND / 0.24,
  ],
  ['10 g N/m2', { ...UK, ...grade(10, 0, 0) }, { areaM2: 4 }, 400],
  ['10 g nitrogen per square metre', { ...UK, ...grade(10, 0, 0) }, { areaM2: 4 }, 400],
  ['5 g P2O5 per m2', { ...UK, ...grade(0, 20, 0) }, { areaM2: 1 }, 25],
  ['10 g of potash per square metre', { ...UK, ...grade(0, 0, 50) }, { areaM2: 1 }, 20],
  ['5 g elemental P per m2', { ...UK, ...grade(0, 20, 0) }, { areaM2: 1 }, 5 / 0.4364 / 0.2],
  ['5-10 g N per m2', { ...UK, ...grade(10, 0, 0) }, { areaM2: 1 }, [50, 100]],
  [
    '10 g N per square metre',
    { ...UK, product: { analysis: analysisFixture(4, 3, 8, { per: 'w/v' }), densityGPerMl: 1.18 } },
    { areaM2: 1 },
    250,
  ],
  // By plant, pot, row and mix.
  ['30 g per plant', UK, { plants: 2 }, 60],
  ['a pound per tree', US, { plants: 1 }, POUND],
  ['2 tbsp per planting hole', US, { plants: 1 }, 2 * TABLESPOON],
  ['1 tablespoon for each tomato plant', UK, { plants: 1 }, 15],
  ['between 30 g and 50 g per plant', UK, { plants: 1 }, [30, 50]],
  ['4.5 handfuls (30 g) per 20 plants', UK, { plants: 4 }, 27],
  ['4.5 handfuls per 20 plants', LOOSE, { plants: 20 }, 180],
  ['4 handfuls (40 g each) for 20 tubers', UK, { plants: 20 }, 160],
  ['2 caps (30 ml in all) per plant', UK, { plants: 1 }, 30],
  ['a handful per 2 plants', LOOSE, { plants: 2 }, 40],
  ['120 g per dozen plants', UK, { plants: 1 }, 120],
  ['3 tbsp per 12 in pot', US, { areaM2: 0.07296587699 }, 3 * TABLESPOON],
  ['3 tbsp per 12-inch pot', US, { areaM2: 0.07296587699 / 4 }, 0.75 * TABLESPOON],
  ['5 g per 30 cm pot', UK, { areaM2: 0.0706858347 }, 5],
  ['half a teaspoon per pot', UK, {}, 2.5],
  ['20 g per bucket', UK, {}, 20],
  ['50 g per row', UK, {}, 50],
  ['50 g per row', UK, { rows: 2 }, 100],
  ['100 g per metre of row', UK, { rowMm: 2500 }, 250],
  ['100 g per 3 m row', UK, { rowMm: 1500 }, 50],
  ['1 lb per 25 ft of row', US, { rowMm: 7620 }, POUND],
  ['2 oz per running foot', US, { rowMm: 304.8 }, 2 * OUNCE],
  ['3 g per litre of compost', UK, { mixMl: 10_000 }, 30],
  ['3 g / litre of mix', UK, { mixMl: 1000 }, 3],
  ['1 cup per cubic foot of potting mix', US, { mixMl: 28316.846592 }, TABLESPOON * 16],
  ['5 kg per cubic metre of soil', UK, { mixMl: 20_000 }, 100],
  ['20 g per 10 l pot', UK, { mixMl: 5000 }, 10],
  // A layer.
  ['2 inches of compost', US, { areaM2: 1 }, 50_800],
  ['1 inch deep', US, { areaM2: 0.5 }, 12_700],
  ['a 5 cm layer', UK, { areaM2: 1 }, 50_000],
  ['3 cm of leaf-mould', UK, { areaM2: 2 }, 60_000],
  // Named, ordered, rounded.
  ['1 tbsp of Epsom salt per gallon', US, { waterMl: GALLON }, TABLESPOON],
  ['1 tbsp salt in 1 l', UK, { waterMl: 1000 }, 15],
  ['apply 70 g per square metre', UK, { areaM2: 1 }, 70],
  ['about 20 ml in 4.5 l', UK, { waterMl: 4500 }, 20],
  ['Dilute 5 ml in 1 litre', UK, { waterMl: 1000 }, 5],
  ['two teaspoons of feed to 5 litres', UK, { waterMl: 5000 }, 10],
  ['1 lb 8 oz per 100 sq ft', US, { areaM2: 100 * FOOT2 }, 1.5 * POUND],
];

test.each(READ.map(row => [row[0], row] as const))('“%s” is read right', (written, row) => {
  const [, context, target, dose, everyDays] = row;
  const rate = parseLabelRate(written, context);
  if (!rate.ok) throw new Error(rateSentence(rate.trouble, { system: undefined }));
  const [low, high] = typeof dose === 'number' ? [dose, dose] : dose;
  expect(doseFor(rate.value, 'low', 1, target)! / low).toBeCloseTo(1, 4);
  expect(doseFor(rate.value, 'high', 1, target)! / high).toBeCloseTo(1, 4);
  expect(rate.value.everyDays).toBe(everyDays);
});

const ASKED: readonly (readonly [
  written: string,
  context: RateContext,
  kind: string,
  choices: number,
])[] = [
  ['1 to 10', UK, 'ambiguous-ratio', 2],
  ['3 to 1', UK, 'ambiguous-ratio', 2],
  ['1 in 10', UK, 'ambiguous-ratio', 2],
  ['1:16', UK, 'ambiguous-ratio', 2],
  ['20 ml per gallon', {}, 'whose-measures', 2],
  ['1 tbsp per gallon, weekly', {}, 'whose-measures', 2],
  ['1 tsp per plant', {}, 'whose-measures', 2],
  ['20 ml', UK, 'no-per', 2],
  ['1 tbsp for each tomato', UK, 'per', 2],
  ['20 ml per moon', UK, 'per', 2],
  ['2 caps (15 ml) in 4.5 l', UK, 'bracket', 2],
  ['1 oz per gallon', { ...US, isLiquid: true }, 'which-ounces', 2],
  ['20 ml in 4.5 l every 7 to 10 days', UK, 'how-often', 2],
  ['20 ml in 4.5 l twice a week', UK, 'how-often', 2],
  ['20 ml in 4.5 l biweekly', UK, 'how-often', 2],
  ['5 g P per m2', { ...UK, ...grade(5, 5, 5) }, 'oxide-or-element', 2],
  ['1 lb phosphorus per 1000 sq ft', { ...US, ...grade(5, 5, 5) }, 'oxide-or-element', 2],
  ['10 to 5 ml per litre', UK, 'falling-range', 1],
  ['a handful per plant', UK, 'uncalibrated', 0],
  ['a heaped teaspoon per plant', UK, 'uncalibrated', 0],
  ['a pinch in 2 l', UK, 'uncalibrated', 0],
  ['1 lb N per 1000 sq ft', US, 'needs-analysis', 0],
  ['1 lb N per 1000 sq ft', { ...US, ...grade(0, 10, 0) }, 'holds-none', 0],
  ['0 ml per litre', UK, 'zero', 0],
  ['20 furlongs per litre', UK, 'amount', 0],
  ['20 cm per litre', UK, 'amount', 0],
  ['a lot per plant', UK, 'amount', 0],
];

test.each(ASKED)('“%s” is asked back: %s', (written, context, kind, choices) => {
  const rate = parseLabelRate(written, context);
  expect(rate).toMatchObject({ ok: false, trouble: { kind } });
  if (rate.ok) return;
  expect(rateSentence(rate.trouble, { system: undefined }).length).toBeGreaterThan(20);
  expect(rateChoices(rate.trouble)).toHaveLength(choices);
});

test('each choice that is offered is read, and no two of them give the same', () => {
  const target = { waterMl: 1000, plants: 1, areaM2: 1, mixMl: 1000, rowMm: 1000 };
  for (const [written, context, , count] of ASKED) {
    const rate = parseLabelRate(written, context);
    if (rate.ok) throw new Error(`${written} must be asked back`);
    const doses = rateChoices(rate.trouble).map(choice => {
      const read = parseLabelRate(choice, context);
      if (!read.ok)
        throw new Error(
          `${written}: ${choice}: ${rateSentence(read.trouble, { system: undefined })}`,
        );
      return `${doseFor(read.value, 'high', 1, target)} ${read.value.everyDays}`;
    });
    if (!written.endsWith('tomato') && !written.endsWith('moon'))
      expect([written, new Set(doses).size]).toEqual([written, count]);
  }
});
