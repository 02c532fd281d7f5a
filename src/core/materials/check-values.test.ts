import { dilute, stockFor } from '@/core/materials/dose/dilution';
import { MEASURING_TOOLS, measureOut } from '@/core/materials/dose/measuring-tool';
import { plantsFrom, seedMassFor } from '@/core/materials/dose/seed-rate';
import { stepUpLadder } from '@/core/materials/dose/strength-ladder';
import {
  amountHolding,
  elementsOf,
  equalAmount,
  nutrientsIn,
  oxidesOf,
} from '@/core/materials/label/analysis';
import { doseFor, shareOfLabel } from '@/core/materials/label/label-rate';
import { judgedAfter } from '@/core/materials/label/mode-of-action';
import { ELEMENT_IN, EPSOM_SALT } from '@/core/materials/label/nutrient';
import { parseLabelRate } from '@/core/materials/label/rate/parse-label-rate';
import { toSow } from '@/core/materials/ledger/money';
import { MIX_FEEDS_WEEKS } from '@/core/materials/ledger/nutrient-ledger';
import { releasedShare } from '@/core/materials/ledger/release';
import { carbonToNitrogen, HOT_HEAP_CN } from '@/core/materials/mix/compost-heap';
import { heatReached } from '@/core/materials/mix/compost-heat';
import {
  circleM2,
  containerMl,
  plantGround,
  spacingInRow,
} from '@/core/materials/mix/container-volume';
import { depthOfBags, layerOf, waterOn } from '@/core/materials/mix/depth';
import { mixFor } from '@/core/materials/mix/mix';
import { equalShares, gradeFractions } from '@/core/materials/mix/sieve';
import { rawManureDays } from '@/core/materials/safety/pre-harvest-interval';
import {
  dryMass,
  moistureOfDry,
  solidFromSubmerged,
} from '@/core/materials/soil-and-water/moisture';
import { saltLoad } from '@/core/materials/soil-and-water/salt-load';
import { WATER_STEPS } from '@/core/materials/soil-and-water/water-quality';
import { dripEach, emittersWeekly } from '@/core/materials/soil-and-water/watering';
import { parseQuantity } from '@/core/quantity/parse-quantity';
import { unitOfMeasure } from '@/core/quantity/unit-of-measure';
import {
  daysToCut,
  feedWithClippings,
  isAcceptableTurf,
  lowestCut,
} from '@/core/schedule/rules/lawn';
import { tasksOf } from '@/core/schedule/tasks/tasks';
import { factsFor } from '@/core/trial/horticultural-facts';
import type { Analysis } from '@/core/trial/model/analysis';
import { type CareRule, Moment } from '@/core/trial/model/care-rule';
import { degreeDays } from '@/core/weather/degree-days';
import {
  CROP_FACTORS,
  cropUse,
  daysUntilDry,
  litresFor,
  mulchFactor,
  soilStore,
} from '@/core/weather/soil-store';

// Sources: `calc`, arithmetic or molar masses; `NIST`, SP 811 (Thompson & Taylor, 2008); `FAO-56`, Allen et al. (1998), from memory;
// `cp`, common practice, no source; others by name, from memory.

const ml = (key: string): number => unitOfMeasure(key).perBase;
const base = (written: string): number => {
  const read = parseQuantity(written, { system: 'us' });
  if (!read.ok) throw new Error(`${written} must be read`);
  return read.value.base;
};
const dose = (label: string, strength: number, target: Parameters<typeof doseFor>[3]): number => {
  const rate = parseLabelRate(label, { system: 'us' });
  if (!rate.ok) throw new Error(`${label} must be read, got ${rate.trouble.kind}`);
  return doseFor(rate.value, 'high', strength, target) ?? Number.NaN;
};
const oxide = (n: number, p: number, k: number, per: Analysis['per'] = 'w/w'): Analysis => ({
  basis: 'oxide',
  per,
  n,
  p,
  k,
  others: {},
});
const element = (n: number, p: number, k: number): Analysis => ({
  ...oxide(n, p, k),
  basis: 'element',
});
const inGrams = (g: number, analysis: Analysis) => {
  const found = nutrientsIn({ kind: 'mass', g }, analysis, 1);
  return found.ok ? found.value : {};
};
const tbsp = (count: number, analysis: Analysis) => {
  const found = nutrientsIn({ kind: 'volume', ml: count }, analysis, 1);
  return found.ok ? found.value : {};
};
const squareFt = base('9 sq ft');
const bag = (cubicFeet: number): number => base(`${cubicFeet} cu ft`);
const gallon = base('1 gal');
const tablespoon = base('1 tbsp');
const FT2_M2 = base('1 sq ft');
const POUND_G = base('1 lb');

const shares = (mix: ReturnType<typeof mixFor>): readonly number[] =>
  mix.ok ? mix.value.parts.map(part => part.litres) : [];
const component = (share: number) => ({ name: 'x', share, bagL: null, bagPrice: null });

type Check = readonly [id: string, source: string, got: number, right: number, digits: number];

const UNITS: readonly Check[] = [
  ['C001 tsp', 'NIST', ml('us-tsp'), 4.929, 3],
  ['C001 tbsp', 'NIST', ml('us-tbsp'), 14.787, 3],
  ['C001 fl oz', 'NIST', ml('us-floz'), 29.574, 3],
  ['C001 cup', 'NIST', ml('us-cup'), 236.588, 3],
  ['C001 gal', 'NIST', ml('us-gal') / 1000, 3.78541, 5],
  ['C002', 'NIST', ml('uk-gal') / 1000, 4.54609, 5],
  ['C003 oz', 'NIST', ml('oz'), 28.3495, 4],
  ['C003 lb', 'NIST', ml('lb'), 453.592, 3],
  ['C004 g', 'calc', base('5 lb 12.7 oz'), 2628, 0],
  ['C004 oz', 'calc', base('5 lb 12.7 oz') / ml('oz'), 92.7, 4],
  ['C004 lb', 'calc', base('5 lb 12.7 oz') / ml('lb'), 5.794, 3],
  ['C005 g', 'calc', base('8 lb 7.9 oz'), 3853, 0],
  ['C005 b', 'calc', base('2 lb 13.4 oz'), 1287, 0],
  ...(
    [
      [1, 0.75, 21.2],
      [3, 2.25, 63.7],
      [6, 4.5, 127.4],
    ] as const
  ).flatMap(([inches, ft3, litres]): Check[] => [
    [
      `C006 ${inches} in, ft³`,
      'calc',
      layerOf(squareFt, base(`${inches} in`), bag(1)).bagsExact ?? 0,
      ft3,
      2,
    ],
    [
      `C006 ${inches} in, l`,
      'calc',
      layerOf(squareFt, base(`${inches} in`), null).volumeMl / 1000,
      litres,
      1,
    ],
  ]),
  ...(
    [
      [0.5, 1, 1.2],
      [1, 2, 2.4],
      [2.5, 5, 6],
    ] as const
  ).flatMap(([bags, small, large]): Check[] => [
    [`C007 ${bags}`, 'calc', depthOfBags(bags, bag(1.5), squareFt) / 25.4, small, 6],
    [`C008 ${bags}`, 'calc', depthOfBags(bags, bag(1.8), squareFt) / 25.4, large, 6],
  ]),
  ['C009 l', 'calc', layerOf(32 * FT2_M2, base('3 in'), null).volumeMl / 1000, 226.5, 1],
  [
    'C009 yd³',
    'calc',
    layerOf(32 * FT2_M2, base('3 in'), base('1 cu yd')).bagsExact ?? 0,
    0.296,
    3,
  ],
  ['C009 bags of 1.5 ft³', 'calc', layerOf(32 * FT2_M2, base('3 in'), bag(1.5)).bags ?? 0, 6, 9],
  ['C009 bags of 50 l', 'calc', layerOf(32 * FT2_M2, base('3 in'), 50_000).bags ?? 0, 5, 9],
  [
    'C010 l',
    'calc',
    containerMl({ shape: 'cylinder', diameterMm: base('12 in'), depthMm: base('10 in') }) / 1000,
    18.5,
    1,
  ],
  [
    'C010 in³',
    'calc',
    containerMl({ shape: 'cylinder', diameterMm: base('12 in'), depthMm: base('10 in') }) /
      base('1 cu in'),
    1131,
    0,
  ],
  [
    'C010 gal',
    'calc',
    containerMl({ shape: 'cylinder', diameterMm: base('12 in'), depthMm: base('10 in') }) / gallon,
    4.9,
    2,
  ],
  [
    'C011',
    'calc',
    containerMl({ shape: 'frustum', topMm: 300, bottomMm: 240, depthMm: 280 }) / 1000,
    16.1,
    2,
  ],
  ['C012', 'calc', circleM2(300), 0.0707, 4],
  ['C013', 'calc', (base('22 ft') * base('1.5 ft')) / 1e6, 3.07, 2],
  ['C014 each', 'calc', spacingInRow(base('22 ft'), 20).eachMm / 25.4, 13.2, 1],
  ['C014 between', 'calc', (spacingInRow(base('22 ft'), 20).betweenMm ?? 0) / 25.4, 13.9, 1],
  ['C015 l', 'calc', waterOn(circleM2(base('12 in')), base('10.4 in')) / 1000, 19.3, 1],
  ['C015 gal on 1 ft²', 'calc', waterOn(FT2_M2, base('10.4 in')) / gallon, 6.48, 2],
  ['C016 gal', 'calc', waterOn(FT2_M2, base('1 in')) / gallon, 0.623, 3],
  ['C016 l', 'calc', waterOn(10, 10) / 1000, 100, 9],
  ['C017', 'calc', dripEach(10, 4, 8), 5, 9],
  ['C018', 'calc', emittersWeekly(4, base('0.5 gal') / 1000, 1, 2), 15.1, 1],
  [
    'C019 char',
    'calc',
    shares(
      mixFor({
        components: [component(0), component(10)],
        meaning: 'of-total',
        containers: 1,
        litresEach: 20,
        settling: 0,
        waste: 0,
      }),
    )[1] ?? 0,
    2,
    9,
  ],
  [
    'C020',
    'calc',
    (() => {
      const mix = mixFor({
        components: [component(0), component(10)],
        meaning: 'on-top',
        containers: 1,
        litresEach: 110,
        settling: 0,
        waste: 0,
      });
      return mix.ok ? (mix.value.parts[1]?.percentOfTotal ?? 0) : 0;
    })(),
    9.09,
    2,
  ],
  ...[30, 15, 15].map(
    (litres, i): Check => [
      `C021 ${i}`,
      'calc',
      shares(
        mixFor({
          components: [2, 1, 1].map(component),
          meaning: 'parts',
          containers: 6,
          litresEach: 10,
          settling: 0,
          waste: 0,
        }),
      )[i] ?? 0,
      litres,
      9,
    ],
  ),
  ['C022', 'calc', layerOf(2, 25, null).volumeMl / 1000, 50, 9],
];

const FEEDS: readonly Check[] = [
  ['C023 P', 'calc', ELEMENT_IN.p2o5, 0.4364, 4],
  ['C023 K', 'calc', ELEMENT_IN.k2o, 0.8301, 4],
  ['C023 N', 'calc', ELEMENT_IN.no3, 0.2259, 4],
  ['C024 P2O5', 'calc', oxidesOf(element(4, 1.3, 6.6)).p2o5, 2.98, 2],
  ['C024 K2O', 'calc', oxidesOf(element(4, 1.3, 6.6)).k2o, 7.95, 2],
  ['C025', 'calc', elementsOf(oxide(0, 17.1, 0)).p ?? 0, 7.46, 2],
  ['C026', 'calc', dose('10 mL per 4.5 L', 1, { waterMl: 1500 }), 3.33, 2],
  ['C027', 'calc', dose('20 ml to 4.5 litres', 0.5, { waterMl: 500 }), 1.11, 2],
  ['C028', 'calc', dose('20 ml in 4 l', 0.5, { waterMl: 500 }), 1.25, 9],
  ['C029', 'calc', dose('a cap (15 ml) in 4.5 l', 1, { waterMl: 1000 }), 3.33, 2],
  [
    'C029 quarter cap',
    'calc',
    100 * (15 / 4 / dose('15 ml per 4.5 l', 1, { waterMl: 1000 }) - 1),
    12.5,
    6,
  ],
  [
    'C030 mg',
    'calc',
    1000 * (tbsp(dose('20 ml per 4.5 l', 0.5, { waterMl: 500 }), oxide(4, 0, 0, 'w/v')).n ?? 0),
    44,
    0,
  ],
  [
    'C030 mg/l',
    'calc',
    1000 * (tbsp(dose('20 ml per 4.5 l', 0.5, { waterMl: 1000 }), oxide(4, 0, 0, 'w/v')).n ?? 0),
    89,
    0,
  ],
  ['C031 N', 'calc', inGrams(75, oxide(4.5, 17.1, 0)).n ?? 0, 3.4, 1],
  ['C031 P', 'calc', inGrams(75, oxide(4.5, 17.1, 0)).p ?? 0, 5.6, 1],
  ['C031 P2O5', 'calc', (inGrams(75, oxide(4.5, 17.1, 0)).p ?? 0) / ELEMENT_IN.p2o5, 12.8, 1],
  ['C032', 'calc', dose('70 g per square metre', 1, { areaM2: circleM2(300) }), 4.9, 1],
  ['C033', 'calc', dose('75 g/m²', 1, { areaM2: circleM2(300) }), 5.3, 1],
  [
    'C034 N',
    'calc',
    (tbsp(3, oxide(12, 4, 8)).n ?? 0) / (tbsp(8, oxide(4, 6, 2)).n ?? 1),
    36 / 32,
    9,
  ],
  [
    'C034 P',
    'calc',
    (tbsp(3, oxide(12, 4, 8)).p ?? 0) / (tbsp(8, oxide(4, 6, 2)).p ?? 1),
    12 / 48,
    9,
  ],
  [
    'C034 K',
    'calc',
    (tbsp(3, oxide(12, 4, 8)).k ?? 0) / (tbsp(8, oxide(4, 6, 2)).k ?? 1),
    24 / 16,
    9,
  ],
  [
    'C035',
    'calc',
    (() => {
      const found = equalAmount(
        { kind: 'volume', ml: 3 },
        { analysis: oxide(12, 4, 8), densityGPerMl: 1 },
        { analysis: oxide(4, 6, 2), densityGPerMl: 1 },
        'n',
      );
      return found.ok && found.value.kind === 'volume' ? found.value.ml : 0;
    })(),
    9,
    9,
  ],
  ...(
    [
      ['C036', POUND_G, 24, 4.17 * POUND_G, -1],
      ['C037', 40, 10, 400, 6],
    ] as const
  ).map(
    ([id, wanted, percent, right, digits]): Check => [
      id,
      'calc',
      (() => {
        const found = amountHolding(
          wanted,
          { analysis: oxide(percent, 0, 0), densityGPerMl: null },
          'n',
          'mass',
        );
        return found.ok && found.value.kind === 'mass' ? found.value.g : 0;
      })(),
      right,
      digits,
    ],
  ),
  ['C038 g/m²', 'calc', (4 * POUND_G) / (1000 * FT2_M2), 19.5, 1],
  ['C038 kg/ha', 'calc', ((4 * POUND_G) / (1000 * FT2_M2)) * 10, 195, 0],
  ['C038 lb/acre', 'calc', (4 * base('1 acre')) / (1000 * FT2_M2), 174, 0],
  ...(
    [
      [0.25, 1.22],
      [1.5, 7.32],
      [2, 9.76],
    ] as const
  ).map(
    ([pounds, grams]): Check => [
      `C039 ${pounds}`,
      'calc',
      dose(`${pounds} lb per 1000 sq ft`, 1, { areaM2: 1 }),
      grams,
      2,
    ],
  ),
  ['C040 Mg', 'calc', EPSOM_SALT.mg ?? 0, 9.86, 2],
  ['C040 S', 'calc', EPSOM_SALT.s ?? 0, 13, 1],
  ['C041 g/l', 'calc', 5 / (gallon / 1000), 1.3, 1],
  ['C041 mg Mg/l', 'calc', (1000 * 5 * (EPSOM_SALT.mg ?? 0)) / 100 / (gallon / 1000), 130, 0],
  ...(
    [
      ['1 tsp', 1.3],
      ['1/4 tsp', 0.33],
      ['1 tbsp', 3.91],
    ] as const
  ).map(
    ([spoon, perL]): Check => [
      `C042 ${spoon}`,
      'calc',
      dose(`${spoon} per gallon`, 1, { waterMl: 1000 }),
      perL,
      2,
    ],
  ),
  ['C045 from', 'cp', MIX_FEEDS_WEEKS.from, 4, 9],
  ['C045 to', 'cp', MIX_FEEDS_WEEKS.to, 6, 9],
  ['C046', 'cp', dose('1 part to 10', 1, { waterMl: 1100 }), 100, 9],
  ['C027 share of label', 'calc', 100 * shareOfLabel(0.5, 500, 1330), 18.8, 1],
];

const SPRAYS: readonly Check[] = [
  ...(
    [
      [6, 0.069, 23.4],
      [8, 0.091, 31.3],
      [10, 0.113, 39.1],
      [12, 0.134, 46.9],
    ] as const
  ).flatMap(([spoons, percent, perL]): Check[] => [
    [`C047 ${spoons}`, 'calc', dilute(3, spoons * tablespoon, gallon).percentAddedTo, percent, 3],
    [`C048 ${spoons}`, 'calc', dilute(3, spoons * tablespoon, gallon).mlPerL, perL, 1],
  ]),
  ['C047 made up to', 'calc', dilute(3, 6 * tablespoon, gallon).percentMadeUpTo, 0.07, 3],
  ['C049 one part', 'calc', dilute(3, 1, 3).percentAddedTo, 0.75, 9],
  ['C049 three parts', 'calc', dilute(3, 3, 1).percentAddedTo, 2.25, 9],
  ['C050', 'calc', stockFor(2000, 0.1, 3) ?? 0, 66.7, 1],
  ['C051', 'calc', ml('us-cup') / ml('us-tbsp'), 16, 9],
  ['C052', 'calc', saltLoad(18, 237, 1, 1, 1).gPerL, 76, 0],
  ['C053 first', 'cp', judgedAfter('vinegar').first, 28, 9],
  ['C053 again', 'cp', judgedAfter('vinegar').again ?? 0, 60, 9],
  ['C055 annuals', 'cp', judgedAfter('systemic-weedkiller-annuals').first, 7, 9],
  ['C055 perennials', 'cp', judgedAfter('systemic-weedkiller-perennials').first, 14, 9],
  ['C061', 'cp', dose('1 lb per 1000 sq ft', 1, { areaM2: 1 }), 4.9, 1],
  [
    'C063',
    'cp',
    (Date.parse(stepUpLadder('2026-05-01')[0]?.lookOn ?? '') - Date.parse('2026-05-01')) /
      3_600_000,
    72,
    9,
  ],
];

const SOIL: readonly Check[] = [
  ['C064 each', 'calc', plantGround(base('2 ft'), base('3 ft')).eachM2 / FT2_M2, 6, 6],
  ['C064 per m²', 'calc', plantGround(base('2 ft'), base('3 ft')).plantsPerM2, 1.79, 2],
  ['C065 total', 'FAO-56', soilStore(0.15, 0.5, 0.4).totalMm, 75, 9],
  ['C065 ready', 'FAO-56', soilStore(0.15, 0.5, 0.4).readyMm, 30, 9],
  ['C065 days', 'FAO-56', daysUntilDry(soilStore(0.15, 0.5, 0.4), cropUse(5, 1.15)), 5.2, 1],
  ['C066 tomato middle', 'FAO-56', CROP_FACTORS.tomato?.middle ?? 0, 1.15, 9],
  ['C066 tomato depletion', 'FAO-56', CROP_FACTORS.tomato?.depletion ?? 0, 0.4, 9],
  ['C066 potato depletion', 'FAO-56', CROP_FACTORS.potato?.depletion ?? 0, 0.35, 9],
  ['C067', 'FAO-56', 100 * (1 - mulchFactor(0.5)), 25, 9],
  ['C068 mm', 'calc', litresFor(cropUse(5, 0.8), 7, 1), 28, 6],
  ['C068 l', 'calc', litresFor(cropUse(5, 0.8), 7, 1000 * FT2_M2), 2600, -1],
  ['C069', 'calc', moistureOfDry(20, 145, 120), 25, 9],
  ['C070', 'calc', dryMass(500, 60), 200, 9],
  ['C071', 'calc', solidFromSubmerged(10, 1.5), 30, 9],
  [
    'C072',
    'calc',
    carbonToNitrogen([
      { dryKg: 10, carbonPercent: 45, nitrogenPercent: 3 },
      { dryKg: 10, carbonPercent: 45, nitrogenPercent: 0.6 },
    ]) ?? 0,
    25,
    9,
  ],
  ['C073 low', 'On-Farm Composting Handbook (1992)', HOT_HEAP_CN.low, 25, 9],
  ['C073 high', 'On-Farm Composting Handbook (1992)', HOT_HEAP_CN.high, 30, 9],
  ['C075 touches', 'US 7 CFR 205.203', rawManureDays(true), 120, 9],
  ['C075 otherwise', 'US 7 CFR 205.203', rawManureDays(false), 90, 9],
  ['C076', 'calc', (1 * base('1 ha')) / 1000, 10, 9],
  ['C079', 'calc', degreeDays('simple', 28, 14, 10), 11, 9],
];

const LORE_VALUES: readonly Check[] = [
  ['C074 least', 'US 7 CFR 205.203', heatReached([55, 55, 55], 'vessel', 0).neededDays, 3, 9],
  ['C074 windrow days', 'US 7 CFR 205.203', heatReached([60], 'windrow', 5).neededDays, 15, 9],
  ['C074 turns', 'US 7 CFR 205.203', heatReached([60], 'windrow', 5).neededTurns, 5, 9],
  ['C081', 'common practice, no source', lowestCut(60), 40, 9],
  ['C081 interval', 'calc: 25 mm by 3.125 mm a day', daysToCut(25, 3.125), 4, 9],
  ['C082', 'Crop Science 42, 2002, from memory', feedWithClippings(20), 10, 9],
  ['C132 half', 'calc', base('1/2 in'), 12.7, 1],
  ['C132 quarter', 'calc', base('1/4 in'), 6.35, 2],
  ['C132 eighth', 'calc', base('1/8 in'), 3.18, 2],
  [
    'M20 share',
    'calc: 30 of 120 g',
    gradeFractions([
      { openingMm: 4, massG: 30 },
      { openingMm: 2, massG: 60 },
      { openingMm: 0, massG: 30 },
    ])[0]?.percent ?? 0,
    25,
    9,
  ],
  [
    'M20 passing',
    'calc: 30 of 120 g',
    gradeFractions([
      { openingMm: 0, massG: 30 },
      { openingMm: 4, massG: 30 },
      { openingMm: 2, massG: 60 },
    ])[1]?.passingPercent ?? 0,
    25,
    9,
  ],
  [
    'M20 alike',
    'calc',
    equalShares([
      { openingMm: 4, massG: 30 },
      { openingMm: 2, massG: 60 },
      { openingMm: 0, massG: 45 },
    ]).totalG,
    90,
    9,
  ],
  ['M34 plants', 'calc: 0.5 g of 200 seeds, 80% up', plantsFrom(0.5, 200, 0.8), 80, 9],
  ['M34 mass', 'calc', seedMassFor(80, 200, 0.8), 0.5, 9],
  ['M30', 'calc: 5 at 5 of 6, a tenth more', toSow(5, 5 / 6), 7, 9],
  ['M13 slow release', 'calc: half of five months', releasedShare(5, 76), 0.5, 9],
];

test('C074: compost with manure was hot enough, or not', () => {
  const hot = (days: number): readonly number[] => Array.from({ length: days }, () => 60);
  expect([
    heatReached(hot(3), 'vessel', 0).isEnough,
    heatReached([60, 60, 50, 60], 'vessel', 0).isEnough,
    heatReached(hot(15), 'windrow', 4).isEnough,
    heatReached(hot(15), 'windrow', 5).isEnough,
    heatReached([80], 'vessel', 0).wasTooHot,
  ]).toEqual([true, false, false, true, true]);
});

test('C077: standing clears chlorine, not chloramine (common practice, no source)', () => {
  expect([
    WATER_STEPS['tap-chlorine'].standsHours,
    WATER_STEPS['tap-chloramine'].standsHours,
  ]).toEqual([12, null]);
});

test('C083: six of nine is acceptable turf (national turfgrass evaluation scale, from memory)', () => {
  expect([5, 6, 9].map(isAcceptableTurf)).toEqual([false, true, true]);
});

test.each([
  ['C044', 'Feed for tomato seedlings', 'half the label’s strength'],
  ['C054', 'Does vinegar kill path weeds?', 'under about two weeks'],
  ['C056', 'Does glyphosate keep the path clean?', 'EPSPS'],
  ['C062', 'What keeps slugs off lettuce?', 'made no difference'],
  ['C078', 'Do potatoes in sacks yield more?', '200 mg'],
  ['C080', 'Does a feed cure blossom-end rot?', 'uneven water'],
  ['C081 to C083', 'Does a lawn green up?', 'a third'],
  ['C084', 'Does biochar help?', '5 to 10%'],
  ['C085', 'Does topping peppers pay?', 'one to three weeks'],
  ['C086', 'Trench or bucket?', '10 to 15 cm'],
])('%s speaks where it bears on the question, with its source', (_, question, says) => {
  const found = factsFor([], question).filter(lore => lore.says.includes(says));
  expect(found).toHaveLength(1);
  expect(found[0]?.source).toMatch(/common practice|from memory/);
});

test('C058: what lies on the leaf is gone after rain, where such a spray is used, and nowhere else', () => {
  expect(factsFor(['peroxide'], 'Do beans like shade?').map(lore => lore.id)).toEqual([
    'contact-rain',
  ]);
  expect(factsFor([], 'Do beans like shade?')).toEqual([]);
});

test.each([...UNITS, ...FEEDS, ...SPRAYS, ...SOIL, ...LORE_VALUES])(
  '%s (%s)',
  (_, __, got, right, digits) => {
    // To half of the last digit printed.
    expect(Math.abs(got - right)).toBeLessThanOrEqual(0.5 * 10 ** -digits + 1e-9);
  },
);

const FEED = '00000000-0000-7000-8000-000000000001';
const rule = (id: string, changes: Partial<CareRule>): CareRule => ({
  id,
  name: 'feed',
  kind: 'feed',
  treatmentIds: [],
  from: { kind: 'day', day: '2026-05-01' },
  repeat: { kind: 'once' },
  until: null,
  material: null,
  washedOffByMm: null,
  runsByItself: false,
  isUnplanned: false,
  minutesEach: null,
  ...changes,
});

test('C043: half strength each fortnight until first flower, then weekly at full: 3 and 12, 90 ml of concentrate (calc)', () => {
  const flower = Moment.parse({ kind: 'stage', stage: 'first flower', days: 0 });
  const tasks = tasksOf(
    [
      rule(FEED, { repeat: { kind: 'every', days: 14 }, until: flower }),
      rule('00000000-0000-7000-8000-000000000002', {
        from: flower,
        repeat: { kind: 'every', days: 7 },
        until: { kind: 'day', day: '2026-08-28' },
      }),
    ],
    {
      startsOn: '2026-05-01',
      endsOn: '2026-09-15',
      stages: { 'first flower': '2026-06-12' },
      done: [],
    },
  );
  const half = tasks.filter(task => task.ruleId === FEED);
  expect([half.length, tasks.length - half.length, tasks.at(-1)?.dueOn]).toEqual([
    3,
    12,
    '2026-08-28',
  ]);
  const each = (strength: number): number => dose('20 ml per 4.5 l', strength, { waterMl: 1500 });
  expect(3 * each(0.5) + 12 * each(1)).toBeCloseTo(90, 9);
});

test('C057: three sprays 48 hours apart fall on days 0, 2 and 4, judged on day 6 (calc)', () => {
  const tasks = tasksOf(
    [
      rule(FEED, { kind: 'spray', repeat: { kind: 'times', times: 3, days: 2 } }),
      rule('00000000-0000-7000-8000-000000000002', {
        kind: 'look',
        from: { kind: 'after', ruleId: FEED, days: 2 },
      }),
    ],
    { startsOn: '2026-05-01', endsOn: '2026-09-15', stages: {}, done: [] },
  );
  expect(tasks.map(task => task.dueOn)).toEqual([
    '2026-05-01',
    '2026-05-03',
    '2026-05-05',
    '2026-05-07',
  ]);
});

test('M4: what a cap can’t measure is said, and a syringe can (calc)', () => {
  const tool = (key: string) =>
    MEASURING_TOOLS.uk.find(each => each.key === key) ?? MEASURING_TOOLS.uk[0]!;
  expect(measureOut(1.11, tool('cap')).isTooCoarse).toBe(true);
  expect(measureOut(1.11, tool('syringe-10'))).toMatchObject({ given: 1, isTooCoarse: true });
  expect(measureOut(1.11, tool('syringe-1'))).toMatchObject({ steps: 56, isTooCoarse: false });
});
