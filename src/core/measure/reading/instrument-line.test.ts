import { readCaliperLine, readProbeLine } from './instrument-line';

test.each([
  ['12.34 mm', 12.34],
  ['+ 3 mm', undefined],
  ['+3 mm', 3],
  ['0,5 mm', 0.5],
  ['0.486 in', 12.3444],
  ['12.34', undefined],
  ['-1 mm', undefined],
  ['mm', undefined],
  ['ERR', undefined],
])('a caliper’s “%s”', (line, mm) => {
  expect(readCaliperLine(line)).toEqual(mm === undefined ? undefined : expect.closeTo(mm, 6));
});

test.each([
  ['3', '3'],
  ['P 1', '1'],
  ['<', '<'],
  ['>', '+'],
  ['5', undefined],
  ['0', undefined],
  ['wet', undefined],
  ['', undefined],
])('a probe’s “%s”', (line, step) => {
  expect(readProbeLine(line)).toBe(step);
});
