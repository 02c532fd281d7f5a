import fc from 'fast-check';
import { addDays } from './garden-day';
import { keptDays } from './kept-days';

const TODAY = '2026-11-29';
const daily = (count: number) => Array.from({ length: count }, (_, age) => addDays(TODAY, -age));

test('of a year of daily copies a week of days, five weeks and a year of months are kept, the newest of each', () => {
  const kept = [...keptDays(daily(365), TODAY)].sort().reverse();
  expect(kept.slice(0, 7)).toEqual(daily(7));
  // 2026-11-29 is a Sunday: the newest of each week before is a Sunday, too.
  expect(kept.slice(7, 12)).toEqual([
    '2026-11-22',
    '2026-11-15',
    '2026-11-08',
    '2026-11-01',
    '2026-10-31',
  ]);
  expect(kept.slice(12)).toEqual([
    '2026-09-30',
    '2026-08-31',
    '2026-07-31',
    '2026-06-30',
    '2026-05-31',
    '2026-04-30',
    '2026-03-31',
    '2026-02-28',
    '2026-01-31',
    '2025-12-31',
    '2025-11-30',
  ]);
});

test('the newest is always kept, and what is kept once a day goes by stays a choice of what there was', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 0, max: 300 }), { minLength: 1, maxLength: 40 }),
      ages => {
        const days = ages.map(age => addDays(TODAY, -age));
        const kept = keptDays(days, TODAY);
        const [newest = ''] = [...days].sort().reverse();
        expect(kept.has(newest)).toBe(true);
        expect([...kept].every(day => days.includes(day))).toBe(true);
        // Thinning what was thinned takes nothing more.
        expect([...keptDays([...kept], TODAY)].sort()).toEqual([...kept].sort());
      },
    ),
  );
});
