import fc from 'fast-check';
import { isLifted, massCheck, readScaleLine, settledG } from './scale-line';

test.each([
  ['213.4 g', 213.4, null],
  ['+ 0.2134 kg', 213.4, null],
  ['ST 213.4 g', 213.4, true],
  ['US,  213 g', 213, false],
  ['? 5 oz', 141.747615625, false],
  ['-0,5 g', -0.5, null],
  ['S 1 lb', 453.59237, true],
])('“%s” is read', (line, massG, isStable) => {
  expect(readScaleLine(line, 7)).toEqual({ massG: expect.closeTo(massG, 6), isStable, atMs: 7 });
});

test.each([
  [''],
  ['213.4'],
  ['g'],
  ['READY'],
  ['213.4 gg'],
  ['ST 21 3 g'],
  [`${'9'.repeat(40)} g`],
])('“%s” is no value', line => {
  expect(readScaleLine(line, 0)).toBeUndefined();
});

const at = (masses: readonly number[], everyMs = 200) =>
  masses.map((massG, i) => ({ massG, isStable: null, atMs: i * everyMs }));

test('a value is settled once it has held for long enough, and not while it swings', () => {
  expect(settledG(at([0, 90, 180, 230, 205, 214, 212.9, 213.2, 213, 213.1, 213]))).toBeCloseTo(
    213.2,
    1,
  );
  expect(settledG(at([0, 90, 180, 230, 205, 214]))).toBeUndefined();
  expect(
    settledG([
      ...at([213, 213, 213, 213, 213, 213]).map(sample => ({ ...sample, isStable: false })),
    ]),
  ).toBeUndefined();
  expect(settledG([])).toBeUndefined();
});

test('only what was lifted off gives way to the next', () => {
  expect([isLifted(at([213, 213, 214]), 213), isLifted(at([213, 40, 3, 180]), 213)]).toEqual([
    false,
    true,
  ]);
});

test('a known mass passes within half a percent or a gram', () => {
  expect([
    massCheck(200.9, 200).isPassed,
    massCheck(201.2, 200).isPassed,
    massCheck(2009, 2000).isPassed,
    massCheck(2011, 2000).isPassed,
  ]).toEqual([true, false, true, false]);
});

test('whatever comes down the line, a settled value lies among those that held it', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -5, max: 5000, noNaN: true }), { minLength: 1, maxLength: 40 }),
      masses => {
        const settled = settledG(at(masses));
        const last = masses.at(-1) ?? 0;
        expect(settled === undefined || Math.abs(settled - last) <= 1).toBe(true);
      },
    ),
  );
});
