import fc from 'fast-check';
import { groupLetters } from './compact-letters';

const trials = fc.integer({ min: 1, max: 8 }).chain(count =>
  fc.record({
    names: fc.constant(Array.from({ length: count }, (_, i) => `t${i}`)),
    apart: fc.array(fc.boolean(), { minLength: count * count, maxLength: count * count }),
  }),
);

test('two treatments share a letter exactly where they were not told apart', () => {
  fc.assert(
    fc.property(trials, ({ names, apart }) => {
      const differ = (a: string, b: string): boolean => {
        const [i, j] = [names.indexOf(a), names.indexOf(b)].sort((x, y) => x - y);
        return apart[(i ?? 0) * names.length + (j ?? 0)] === true && i !== j;
      };
      const letters = groupLetters(names, differ);
      for (const a of names) {
        expect(letters[a]?.length).toBeGreaterThan(0);
        for (const b of names)
          if (a !== b)
            expect([...(letters[a] ?? '')].some(letter => letters[b]?.includes(letter))).toBe(
              !differ(a, b),
            );
      }
    }),
  );
});

test('the best treatment gets an a', () => {
  expect(
    groupLetters(
      ['trt2', 'ctrl', 'trt1'],
      (a, b) => [a, b].includes('trt2') && [a, b].includes('trt1'),
    ),
  ).toEqual({ trt2: 'a', ctrl: 'ab', trt1: 'b' });
});

test('forty treatments are no trouble', () => {
  const names = Array.from({ length: 40 }, (_, i) => `t${String(i).padStart(2, '0')}`);
  const letters = groupLetters(names, (a, b) => Math.abs(names.indexOf(a) - names.indexOf(b)) > 5);
  expect(letters.t00).toBe('a');
  expect(letters.t39).toBe('I');
});

test('a treatment keeps its letter whatever it is called', () => {
  const letters = groupLetters(['__proto__', 'constructor'], () => true);
  expect(Object.entries(letters)).toEqual([
    ['__proto__', 'a'],
    ['constructor', 'b'],
  ]);
});
