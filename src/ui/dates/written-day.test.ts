import fc from 'fast-check';
import { readWrittenDay, writeDay } from './written-day';

test.each([
  ['2026-11-30', 'day-first', '2026-11-30'],
  ['2026-5-1', 'month-first', '2026-05-01'],
  ['30/11/2026', 'day-first', '2026-11-30'],
  ['11/30/2026', 'month-first', '2026-11-30'],
  ['3/4/26', 'day-first', '2026-04-03'],
  ['3/4/26', 'month-first', '2026-03-04'],
  ['30.11.2026', 'day-first', '2026-11-30'],
  [' 30  Nov 2026 ', 'month-first', '2026-11-30'],
  ['November 30, 2026', 'day-first', '2026-11-30'],
  ['29 Feb 2024', 'day-first', '2024-02-29'],
] as const)('“%s”, %s, is %s', (written, order, day) => {
  expect(readWrittenDay(written, order)).toBe(day);
});

test.each([
  '',
  '30/02/2026',
  '29 Feb 2026',
  '31/11/2026',
  'soon',
  '5 Nix 2026',
  '30 Nov',
  '1/2/3',
  '11/30/2026',
])('“%s” is no day', written => {
  expect(readWrittenDay(written, 'day-first')).toBeUndefined();
});

test('a day that is written is read again, in either order', () => {
  fc.assert(
    fc.property(
      fc.date({ min: new Date('1990-01-01'), max: new Date('2099-12-31'), noInvalidDate: true }),
      fc.constantFrom('day-first', 'month-first'),
      (date, order) => {
        const day = date.toISOString().slice(0, 10);
        expect(readWrittenDay(writeDay(day, order), order)).toBe(day);
      },
    ),
  );
});

test('what is no day is written as it was typed', () => {
  expect(writeDay('next week', 'day-first')).toBe('next week');
});
