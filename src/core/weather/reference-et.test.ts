import fc from 'fast-check';
import {
  atmosphericKPa,
  daylightHours,
  dayOfYear,
  type EtDay,
  extraterrestrial,
  hargreaves,
  penmanMonteith,
  psychrometric,
  saturationKPa,
  solarRadiation,
  vapourPressure,
  windAt2m,
} from './reference-et';

// Worked examples of FAO Irrigation and Drainage Paper 56 (Allen, Pereira, Raes & Smith, 1998), from memory, to their printed digits.
const uccle: EtDay = {
  latitude: 50.8,
  dayOfYear: 187,
  altitudeM: 100,
  tmaxC: 21.5,
  tminC: 12.3,
  rhMax: 84,
  rhMin: 63,
  windMs: 2.78,
  windHeightM: 10,
  sunHours: 9.25,
};
const bangkok: EtDay = {
  latitude: 13 + 44 / 60,
  dayOfYear: 105,
  altitudeM: 2,
  tmaxC: 34.8,
  tminC: 25.6,
  vapourKPa: 2.85,
  windMs: 2,
  sunHours: 8.5,
  soilHeatMJ: 0.14,
};

test.each([
  ['example 2, pressure at 1800 m', atmosphericKPa(1800), 81.8, 1],
  ['example 2, psychrometric constant', psychrometric(1800), 0.054, 3],
  ['example 3, saturation at 24.5 °C', saturationKPa(24.5), 3.075, 3],
  ['example 3, saturation at 15 °C', saturationKPa(15), 1.705, 3],
  [
    'example 5, vapour pressure from humidity',
    vapourPressure({ ...uccle, tminC: 18, tmaxC: 25, rhMax: 82, rhMin: 54 }),
    1.7,
    2,
  ],
  [
    'example 8, radiation above the air, 3 September at 20° south',
    extraterrestrial(-20, 246),
    32.2,
    1,
  ],
  ['example 9, its longest day', daylightHours(-20, 246), 11.7, 1],
  [
    'example 10, radiation from 7.1 hours of sun, 15 May at 22.9° south',
    solarRadiation({ ...uccle, latitude: -22.9, dayOfYear: 135, sunHours: 7.1 }),
    14.5,
    1,
  ],
  ['example 14, wind of 3.2 m/s at 10 m', windAt2m(3.2, 10), 2.4, 1],
  ['example 17, Bangkok in April', penmanMonteith(bangkok), 5.72, 2],
  ['example 17, its radiation above the air', extraterrestrial(bangkok.latitude, 105), 38.06, 2],
  ['example 17, its radiation at the ground', solarRadiation(bangkok), 22.65, 2],
  ['example 18, Uccle on 6 July', penmanMonteith(uccle), 3.88, 2],
  ['example 18, its vapour pressure', vapourPressure(uccle), 1.409, 3],
  ['example 18, its wind at 2 m', windAt2m(10 / 3.6, 10), 2.078, 3],
  ['example 18, its radiation', solarRadiation(uccle), 22.07, 2],
  [
    'example 20, Lyon in July by temperature alone',
    hargreaves({ latitude: 45 + 43 / 60, dayOfYear: 196, tmaxC: 26.6, tminC: 14.8 }),
    5,
    1,
  ],
])('%s', (_, got, printed, digits) => {
  expect(Math.abs(got - printed)).toBeLessThanOrEqual(0.5 * 10 ** -digits + 1e-9);
});

test('no day gives a number that is none, or water below zero', () => {
  const day = fc.record({
    latitude: fc.double({ min: -90, max: 90, noNaN: true }),
    dayOfYear: fc.integer({ min: 1, max: 366 }),
    altitudeM: fc.integer({ min: 0, max: 4000 }),
    tminC: fc.double({ min: -40, max: 40, noNaN: true }),
    range: fc.double({ min: 0, max: 25, noNaN: true }),
    rh: fc.option(fc.integer({ min: 0, max: 100 }), { nil: undefined }),
    windMs: fc.option(fc.double({ min: 0, max: 30, noNaN: true }), { nil: undefined }),
    sunHours: fc.option(fc.double({ min: 0, max: 24, noNaN: true }), { nil: undefined }),
  });
  fc.assert(
    fc.property(day, ({ range, rh, ...rest }) => {
      const given: EtDay = { ...rest, tmaxC: rest.tminC + range, rhMax: rh, rhMin: rh };
      for (const et of [penmanMonteith(given), hargreaves(given)])
        expect(Number.isFinite(et) && et >= 0).toBe(true);
    }),
  );
});

test('in wind, drier air takes more water', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 3, max: 8, noNaN: true }),
      fc.integer({ min: 20, max: 60 }),
      (windMs, rhMin) => {
        const at = (changes: Partial<EtDay>): number =>
          penmanMonteith({ ...uccle, windMs, rhMin, ...changes });
        expect(at({ rhMin: rhMin - 10 })).toBeGreaterThan(at({}));
      },
    ),
  );
});

test('days of the year', () => {
  expect([
    dayOfYear('2026-01-01'),
    dayOfYear('2026-07-06'),
    dayOfYear('2028-12-31'),
    dayOfYear('2026-12-31'),
  ]).toEqual([1, 187, 366, 365]);
});
