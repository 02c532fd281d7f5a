import fc from 'fast-check';
import { nozzleHasChanged, sprayEach, stockFor } from '@/core/materials/dose/dilution';
import {
  calibrate,
  fittingTool,
  MEASURING_TOOLS,
  measureOut,
  stockSolution,
} from '@/core/materials/dose/measuring-tool';
import { safeStrength, stepUpLadder } from '@/core/materials/dose/strength-ladder';
import { gradeSentence, nutrientsIn, parseGrade } from '@/core/materials/label/analysis';
import { packsToBuy, toSow, unitCost } from '@/core/materials/ledger/money';
import { carbonToNitrogen, toReach } from '@/core/materials/mix/compost-heap';
import { stackMl } from '@/core/materials/mix/container-volume';
import { type MixPlan, mixFor, mixSentence } from '@/core/materials/mix/mix';
import { cautionsFor, neverMix } from '@/core/materials/safety/cautions';
import { tooEarly } from '@/core/materials/safety/pre-harvest-interval';
import { dryMass, wetMassFor } from '@/core/materials/soil-and-water/moisture';
import { isSaltHarmful, saltLoad } from '@/core/materials/soil-and-water/salt-load';
import { catchTest } from '@/core/materials/soil-and-water/watering';
import { analysisFixture } from '@/core/trial/fixtures/product-fixture';
import { Hazard } from '@/core/trial/model/product';
import { alertOf, isWashedOff, leachedMl, WeatherDay } from '@/core/weather/weather-day';

describe('the three numbers', () => {
  test.each([
    ['12-4-8', [12, 4, 8]],
    ['4 - 1.3 - 6.6', [4, 1.3, 6.6]],
    ['N 4 P 1,3 K 6,6', [4, 1.3, 6.6]],
    ['NPK 0–10–10', [0, 10, 10]],
    ['5:5:5', [5, 5, 5]],
    ['46% - 0 - 0', [46, 0, 0]],
  ])('%s', (written, numbers) => {
    expect(parseGrade(written)).toEqual({ ok: true, value: numbers });
  });
  test.each([
    ['60-30-20', 'more than 100%'],
    ['strong', 'not three numbers'],
    ['12-4', 'not three numbers'],
    ['-1-2-3', 'not three numbers'],
  ])('%s is refused', (written, sentence) => {
    const read = parseGrade(written);
    expect(read.ok ? '' : gradeSentence(read.trouble)).toContain(sentence);
  });
  test('a spoon of what counts by weight needs a density', () => {
    expect(nutrientsIn({ kind: 'volume', ml: 15 }, analysisFixture(12, 4, 8), null)).toEqual({
      ok: false,
      trouble: { kind: 'needs-density' },
    });
    expect(
      nutrientsIn({ kind: 'volume', ml: 15 }, analysisFixture(4, 0, 0, { per: 'w/v' }), null),
    ).toMatchObject({ ok: true, value: { n: 0.6 } });
  });
});

describe('measuring out', () => {
  test('a tool gives whole steps, never none, and a stock makes a small dose measurable to 5%', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.005, max: 200, noNaN: true }),
        fc.integer({ min: 1, max: 40 }),
        fc.constantFrom(
          ...(['uk', 'us'] as const).flatMap(system =>
            MEASURING_TOOLS[system].map(tool => ({ tool, system })),
          ),
        ),
        (dose, units, { tool, system }) => {
          const out = measureOut(dose, tool);
          expect(out.given).toBeCloseTo(out.steps * tool.step, 9);
          expect(out.steps).toBeGreaterThanOrEqual(1);
          const stock = stockSolution(dose, units, tool, system);
          if (stock === undefined) return;
          expect(stock.leftMl).toBeGreaterThanOrEqual(-1e-6);
          expect(stock.eachMl).toBeGreaterThanOrEqual(5);
          expect(stock.madeUpToMl).toBeLessThanOrEqual(5000);
          expect((stock.product * stock.eachMl) / stock.madeUpToMl).toBeCloseTo(dose, 6);
          expect(measureOut(stock.product, tool).stepPercent).toBeLessThanOrEqual(5 * 1.06);
        },
      ),
    );
  });
  test('0.248 ml for ten pots: a 1 ml syringe does it, and a stock is made up to what a jug holds', () => {
    const syringe = MEASURING_TOOLS.uk.find(tool => tool.key === 'syringe-10')!;
    expect(fittingTool(0.248, MEASURING_TOOLS.uk)?.key).toBe('syringe-1');
    expect(stockSolution(0.0248, 10, syringe, 'uk')).toEqual({
      product: 5,
      madeUpToMl: 2000,
      eachMl: expect.closeTo(9.92, 9),
      leftMl: expect.closeTo(1900.8, 9),
    });
    expect(stockSolution(0.0002, 10, syringe, 'uk')).toBeUndefined();
  });
  // By hand: a quarter teaspoon is 1.2322 ml; ten of them, 12.322 ml, in a quart (946.35 ml) are 1 in 76.8, and 6.35 ml of it 0.0827 ml.
  test('an American shed measures by the quarter teaspoon, and makes its stock up to a cup, a pint, a quart', () => {
    const spoon = MEASURING_TOOLS.us.find(tool => tool.key === 'spoon');
    if (!spoon) throw new Error('the shed must have a spoon');
    expect(spoon.step).toBeCloseTo(1.2322, 4);
    expect(stockSolution(0.0827, 4, spoon, 'us')).toMatchObject({
      product: expect.closeTo(12.322, 3),
      madeUpToMl: expect.closeTo(946.353, 3),
      eachMl: expect.closeTo(6.3514, 3),
    });
    for (const { name } of MEASURING_TOOLS.us)
      expect(name).not.toMatch(/\d (?:g|kg)\b|\d ml (?!syringe)/);
  });
  test('five weighings of a handful give its mean and its spread', () => {
    const found = calibrate([28, 35, 40, 31, 36]);
    expect(found.mean).toBeCloseTo(34, 9);
    expect(found.sd).toBeCloseTo(Math.sqrt((36 + 1 + 36 + 9 + 4) / 4), 9);
    expect(found.isReliable).toBe(false);
    expect(() => calibrate([3])).toThrow(RangeError);
  });
  test('a catch in a jar says what each plant gets, and whether the nozzle is still the same', () => {
    expect(sprayEach(240, 30, 5)).toBeCloseTo(40, 9);
    expect([nozzleHasChanged(200, 230), nozzleHasChanged(200, 210)]).toEqual([true, false]);
    expect(stockFor(1000, 5, 3)).toBeUndefined();
    expect(catchTest([98, 102, 100], 2)).toMatchObject({ meanMlPerMinute: 50, isEven: true });
  });
});

describe('mixes', () => {
  const plan = (changes: Partial<MixPlan>): MixPlan => ({
    components: [
      { name: 'mix', share: 3, bagL: 40, bagPrice: 8 },
      { name: 'char', share: 1, bagL: 20, bagPrice: 12 },
    ],
    meaning: 'parts',
    containers: 10,
    litresEach: 12,
    settling: 0.1,
    waste: 0.05,
    ...changes,
  });
  test('parts add up to the whole, settling and waste come on top, money is of the share used', () => {
    const mix = mixFor(plan({}));
    if (!mix.ok) throw new Error(mixSentence(mix.trouble));
    expect(mix.value.mixedL).toBeCloseTo(120 / 0.9 / 0.95, 9);
    expect(mix.value.parts.map(part => part.litres).reduce((a, b) => a + b)).toBeCloseTo(
      mix.value.mixedL,
      9,
    );
    expect(mix.value.parts.map(part => part.bags)).toEqual([3, 2]);
    expect(mix.value.costEach).toBeCloseTo(
      (mix.value.mixedL * (0.75 * (8 / 40) + 0.25 * (12 / 20))) / 10,
      9,
    );
  });
  test('what can’t be mixed says why', () => {
    for (const [changes, kind] of [
      [{ components: [] }, 'no-components'],
      [
        {
          meaning: 'of-total',
          components: [
            { name: 'a', share: 0, bagL: null, bagPrice: null },
            { name: 'b', share: 120, bagL: null, bagPrice: null },
          ],
        },
        'over-100',
      ],
      [{ containers: 0 }, 'no-volume'],
    ] as const) {
      const mix = mixFor(plan(changes));
      expect(mix.ok ? '' : mix.trouble.kind).toBe(kind);
      if (!mix.ok) expect(mixSentence(mix.trouble).length).toBeGreaterThan(10);
    }
  });
  test('dry mass there and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        (grams, percent) => {
          expect(wetMassFor(dryMass(grams, percent), percent)).toBeCloseTo(grams, 6);
        },
      ),
    );
  });
  test('a tower of two pots holds both; a heap is brought to 30 by straw', () => {
    const pot = { shape: 'cylinder' as const, diameterMm: 200, depthMm: 100 };
    expect(stackMl([pot, pot])).toBeCloseTo(2 * Math.PI * 1e6 * 0.001, 6);
    const [grass, straw] = [
      { carbonPercent: 45, nitrogenPercent: 3 },
      { carbonPercent: 45, nitrogenPercent: 0.6 },
    ];
    const kilos = toReach(30, grass, straw) ?? 0;
    expect(
      carbonToNitrogen([
        { dryKg: 1, ...grass },
        { dryKg: kilos, ...straw },
      ]),
    ).toBeCloseTo(30, 9);
    expect(toReach(10, grass, straw)).toBeUndefined();
  });
});

test('salt adds up with every time', () => {
  const load = (times: number) => saltLoad(76, 1000, 2, 1, times);
  expect(load(3).gPerM2).toBeCloseTo(3 * load(1).gPerM2, 9);
  expect([isSaltHarmful(load(1)), isSaltHarmful(load(3))]).toEqual([false, true]);
});

test('money is of the share used; packs and seeds have a tenth to spare', () => {
  expect(unitCost([0.5, 0.25], 30, 12)).toEqual({ material: 0.75, labour: 6, total: 6.75 });
  expect([packsToBuy(1000, 500), packsToBuy(900, 1000), toSow(6, 0.7)]).toEqual([3, 1, 10]);
});

describe('cautions', () => {
  test('every hazard has its own, each once, and acids never meet bleach whichever comes first', () => {
    expect(
      cautionsFor([...Hazard.options, ...Hazard.options])
        .map(each => each.hazard)
        .sort(),
    ).toEqual([...Hazard.options].sort());
    expect(neverMix(['strong-acid'], ['bleach'])).toBe(neverMix(['bleach'], ['strong-acid']));
    expect(neverMix(['weedkiller'], ['weedkiller'])).toContain('both labels');
    expect(neverMix(['soap'], ['compost'])).toBeUndefined();
  });
  test('a harvest inside a waiting time is told the date from which it is allowed', () => {
    const applied = [
      { product: 'Suds', appliedOn: '2026-06-01', waitingDays: 3 },
      { product: 'Muck', appliedOn: '2026-05-01', waitingDays: 120 },
      { product: 'Later', appliedOn: '2026-07-01', waitingDays: 9 },
    ];
    expect(tooEarly(applied, '2026-06-03').map(each => [each.product, each.allowedFrom])).toEqual([
      ['Muck', '2026-08-29'],
      ['Suds', '2026-06-04'],
    ]);
    expect(tooEarly(applied, '2026-06-04').map(each => each.product)).toEqual(['Muck']);
    expect(tooEarly(applied, '2026-08-29')).toEqual([]);
  });
});

describe('a new spray is stepped up', () => {
  test('each rung waits for the look before; harm stops it and gives the strength below', () => {
    const full = stepUpLadder('2026-05-01', [false, false, false]);
    expect(full.map(rung => [rung.strength, rung.on])).toEqual([
      [0.25, '2026-05-01'],
      [0.5, '2026-05-04'],
      [1, '2026-05-07'],
    ]);
    expect(safeStrength(full)).toBe(1);
    expect(safeStrength(stepUpLadder('2026-05-01', [false, true]))).toBe(0.25);
    expect(stepUpLadder('2026-05-01', [false, true])).toHaveLength(2);
    expect(safeStrength(stepUpLadder('2026-05-01', [true]))).toBe(0);
    expect(safeStrength(stepUpLadder('2026-05-01', [false]))).toBeNull();
  });
});

describe('a day’s weather', () => {
  test('frost, near frost and heat are told; a lowest above the highest is refused', () => {
    expect([
      alertOf({ tmaxC: 12, tminC: -1 }),
      alertOf({ tmaxC: 12, tminC: 2 }),
      alertOf({ tmaxC: 33, tminC: 18 }),
      alertOf({ tmaxC: 20, tminC: 9 }),
    ]).toEqual(['frost', 'frost-risk', 'heat', undefined]);
    expect(
      WeatherDay.safeParse({
        day: '2026-05-01',
        tmaxC: 3,
        tminC: 9,
        rainMm: 0,
        windMs: null,
        rhMax: null,
        rhMin: null,
        sunHours: null,
        source: 'file',
      }).success,
    ).toBe(false);
  });
  test('rain on the day or the day after washes a spray off, and what a pot can’t hold runs through', () => {
    const rain = [
      { day: '2026-06-02', rainMm: 6 },
      { day: '2026-06-03', rainMm: 20 },
    ];
    expect([
      isWashedOff('2026-06-01', 5, rain),
      isWashedOff('2026-06-01', 10, rain),
      isWashedOff('2026-06-02', 10, rain),
      isWashedOff('2026-06-04', 1, rain),
    ]).toEqual([true, false, true, false]);
    expect([leachedMl(30, 0.07, 1500), leachedMl(10, 0.07, 1500)]).toEqual([
      expect.closeTo(600, 6),
      0,
    ]);
  });
});
