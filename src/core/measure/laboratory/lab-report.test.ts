import fc from 'fast-check';
import { isGainOrLoss } from '@/core/measure/library/reading-library';
import { UnitId } from '@/core/trial/model/ids';
import { isBelowLimit, type LabValue, labReadings, readLabReport } from './lab-report';
import { nextSampleNumbers, SoilSample } from './soil-sample';

const HEADS = ['Sample', 'Analyte', 'Value', 'Unit', 'Extract', 'optimum low', 'optimum high'];
const read = (...rows: readonly string[]): readonly LabValue[] => {
  const found = readLabReport(
    HEADS,
    rows.map(row => row.split(';')),
  );
  if (!found.ok) throw new Error(JSON.stringify(found.trouble));
  return found.value;
};
const trouble = (...rows: readonly string[]): readonly string[] => {
  const found = readLabReport(
    HEADS,
    rows.map(row => row.split(';')),
  );
  return found.ok ? [] : found.trouble.map(each => `${each.row} ${each.column}: ${each.says}`);
};

// 2 P in P2O5 = 0.4364, 2 K in K2O = 0.8301: the factors that labels are turned with, from the atomic weights.
test('oxides become elements, and per 100 g becomes per kilogram', () => {
  expect(read('S001;P2O5;18;mg/100 g;CAL;10;20')[0]?.value).toBeCloseTo(18 * 10 * 0.4364, 1);
  expect(read('S001;K2O;10;mg/100g;CAL;;')[0]?.value).toBeCloseTo(83.01, 1);
  expect(read('S001;Phosphorus (P);44;ppm;Olsen;;')[0]?.value).toBe(44);
  expect(read('S001;Nitrate (NO3);44.3;mg/kg;;;')[0]?.value).toBeCloseTo(10.0, 1);
  expect(read('S001;Nitrate-N;10;mg/kg;;;')[0]?.value).toBe(10);
});

test('its optimum goes the same way as its value', () => {
  const optimum = read('S001;P2O5;18;mg/100 g;CAL;10;20')[0]?.optimum;
  expect([optimum?.low, optimum?.high].map(bound => Math.round(bound ?? 0))).toEqual([44, 87]);
  expect(read('S001;pH;6.4;;CaCl2;6.0;7.0')[0]?.optimum).toEqual({ low: 6, high: 7 });
});

test('below the limit half of it stands, and the report’s own words are kept', () => {
  expect(read('S001;Boron;< 0,4;mg/kg;;;')[0]).toMatchObject({
    value: 0.2,
    isBelowLimit: true,
    asWritten: '< 0,4 mg/kg',
  });
});

test.each([
  ['Ammonium-N;12;mg/kg', 'nh4-n', 12],
  ['NH4-N;12;mg/kg', 'nh4-n', 12],
  ['NH4;18.04;mg/kg', 'nh4-n', 14.01],
  ['Iron;55;ppm', 'fe', 55],
  ['Mn;8;mg/kg', 'mn', 8],
  ['Zinc (Zn);2,5;mg/kg', 'zn', 2.5],
  ['Cu;1.1;mg/kg', 'cu', 1.1],
  ['N;0.2;%', 'n', 2000],
  ['Na;9;mg/kg', 'na', 9],
] as const)('%s is %s', (row, analyte, value) => {
  const [found] = read(`S001;${row};;;`);
  expect(found?.analyte).toBe(analyte);
  expect(found?.value).toBeCloseTo(value, 2);
});

test('only its own words put a value below the limit, not a note; and neither way is it a gain', () => {
  expect(['< 0,4 mg/kg', 'below 80', '40 mg/kg', ''].map(isBelowLimit)).toEqual([
    true,
    true,
    false,
    false,
  ]);
  expect(isGainOrLoss({ kindKey: 'lab-p', scale: { kind: 'continuous', least: 0, most: 1 } })).toBe(
    false,
  );
});

test('what can’t be read is told row by row, and nothing of it is taken', () => {
  expect(
    trouble(
      'S001;pH;6.4;;;;',
      'S001;Unobtainium;3;mg/kg;;;',
      'S002;K;high;mg/kg;;;',
      'S002;K;3;furlongs;;;',
    ),
  ).toEqual([
    '3 analyte: “Unobtainium” is not known here.',
    '4 value: “high” is no number.',
    '5 unit: “furlongs” is no unit of Potassium (K) in the soil that is known here.',
  ]);
  expect(readLabReport(['a', 'b'], [['1', '2']]).ok).toBe(false);
  expect(readLabReport(HEADS, []).ok).toBe(false);
});

const sample = (n: number): SoilSample =>
  SoilSample.parse({
    id: `00000000-0000-7000-8000-00000000010${n}`,
    unitId: UnitId.parse(`00000000-0000-7000-8000-00000000000${n}`),
    number: `S00${n}`,
    takenOn: '2026-04-01',
    depthMm: 150,
    cores: 5,
    note: '',
  });
let ids = 0;
const context = {
  samples: [sample(1), sample(2)],
  measures: [],
  device: 'lab',
  now: '2026-04-20T10:00:00.000Z',
  newId: () => `00000000-0000-7000-8000-${String(++ids).padStart(12, '0')}`,
};

test('values come to the units whose bags they are of, each analyte as one measure', () => {
  const found = labReadings(
    read('S001;pH;6.4;;;6;7', 'S002;pH;6.6;;;6;7', 'S001;K;120;mg/kg;;;'),
    context,
  );
  if (!found.ok) throw new Error('must be taken');
  expect(
    found.value.measures.map(measure => [measure.name, measure.unit, measure.optimum]),
  ).toEqual([
    ['pH of the soil', 'pH', { low: 6, high: 7 }],
    ['Potassium (K) in the soil', 'mg/kg', null],
  ]);
  expect(
    found.value.readings.map(reading => [
      reading.unitId,
      reading.subsample,
      reading.takenOn,
      reading.value,
    ]),
  ).toEqual([
    [sample(1).unitId, 'S001', '2026-04-01', 6.4],
    [sample(2).unitId, 'S002', '2026-04-01', 6.6],
    [sample(1).unitId, 'S001', '2026-04-01', 120],
  ]);
});

test('a bag that nobody filled, and one that comes twice, refuse the whole', () => {
  const found = labReadings(read('S009;pH;6.4;;;;', 'S001;pH;6.6;;;;', 'S001;pH;6.7;;;;'), context);
  expect(found.ok ? [] : found.trouble.map(each => each.row)).toEqual([2, 4]);
});

test('numbers of bags go on, and none comes twice', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 40 }), { maxLength: 6 }), counts => {
      let given: readonly string[] = [];
      for (const count of counts) given = [...given, ...nextSampleNumbers(given, count)];
      expect(new Set(given).size).toBe(given.length);
      expect(given.every(number => /^[A-Z]\d{3,4}$/.test(number))).toBe(true);
    }),
  );
});
