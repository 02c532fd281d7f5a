import { daysApart } from './days-apart';

test.each([
  ['2026-05-31', 30],
  ['2026-04-30', -1],
  ['2026-02-30', undefined],
  ['2026-13-01', undefined],
  ['31.5.2026', undefined],
])('from 1 May to %s', (written, days) => {
  expect(daysApart('2026-05-01', written)).toBe(days);
});
