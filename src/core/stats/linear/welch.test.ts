import fc from 'fast-check';
import { welchTest } from './welch';

const A = [4.1, 5, 4.6, 5.3, 4.5];
const B = [5.2, 5.9, 5.1, 6.3, 5.5];

test('C114: difference 0.90, t 2.951 on 7.955 degrees of freedom, p 0.0185, interval 0.196 to 1.604', () => {
  const found = welchTest(B, A);
  expect([found?.difference, found?.t, found?.df].map(value => value?.toFixed(3))).toEqual([
    '0.900',
    '2.951',
    '7.955',
  ]);
  expect(found?.p.toFixed(4)).toBe('0.0185');
  expect(found?.intervalAt(0.95).map(end => end.toFixed(3))).toEqual(['0.196', '1.604']);
});

// sleep (Cushny & Peebles 1905) in R's datasets: t.test(extra ~ group, sleep) prints t = −1.8608, df = 17.776, p = 0.07939, −3.3654832 to 0.2054832.
test('the sleep data, as R’s help page prints them', () => {
  const found = welchTest(
    [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0, 2],
    [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4],
  );
  expect(found?.t).toBeCloseTo(-1.8608, 4);
  expect(found?.df).toBeCloseTo(17.776, 3);
  expect(found?.p).toBeCloseTo(0.07939, 5);
  expect(found?.intervalAt(0.95)[0]).toBeCloseTo(-3.3654832, 6);
});

test('no spread, or one value alone, is no test', () => {
  expect(welchTest([1], [2, 3])).toBeUndefined();
  expect(welchTest([1, 1], [2, 2])).toBeUndefined();
});

test('turned round it says the same the other way; more of one unit changes no p', () => {
  const sample = fc.array(fc.double({ min: 0, max: 100, noNaN: true }), {
    minLength: 2,
    maxLength: 8,
  });
  fc.assert(
    fc.property(sample, sample, (a, b) => {
      const [there, back, grams] = [
        welchTest(a, b),
        welchTest(b, a),
        welchTest(
          a.map(value => value * 28.35),
          b.map(value => value * 28.35),
        ),
      ];
      expect(back?.t ?? 0).toAgree(-(there?.t ?? 0), 6);
      if (there && grams) expect(grams.p).toBeCloseTo(there.p, 6);
    }),
  );
});
