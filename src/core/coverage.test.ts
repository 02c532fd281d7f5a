import { readFileSync } from 'node:fs';

// How many capabilities each step has: 208 in all.
const STEPS = {
  Q: 13,
  P: 26,
  M: 34,
  S: 14,
  T: 16,
  K: 15,
  R: 29,
  H: 10,
  I: 5,
  J: 30,
  X: 8,
  N: 8,
} as const;

const rows = readFileSync('docs/coverage.md', 'utf8')
  .split('\n')
  .filter(line => /^\| [QPMSTKRHIJXN]\d+ +\|/.test(line))
  .map(line =>
    line
      .split('|')
      .slice(1, -1)
      .map(cell => cell.trim()),
  );

test('every capability has one row, in order, and none has two', () => {
  const wanted = Object.entries(STEPS).flatMap(([letter, count]) =>
    Array.from({ length: count }, (_, i) => `${letter}${i + 1}`),
  );
  expect(wanted).toHaveLength(208);
  expect(rows.map(([id]) => id)).toEqual(wanted);
});

test.each(rows)(
  '%s is there with a place, code and a test, thin with what is lacking, or missing',
  (...row) => {
    const [, state, screen = '', code = '', held = '', howFar = ''] = row;
    expect(['there', 'thin', 'missing']).toContain(state);
    if (state === 'missing') expect([screen, code, held].join('')).toBe('');
    if (state === 'there') expect([code, held].every(cell => cell !== '')).toBe(true);
    if (state === 'thin') expect(`${howFar}${held}`).not.toBe('');
  },
);
