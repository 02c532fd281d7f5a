import fc from 'fast-check';
import { dayWords, nextEvent } from './season-events';
import type { SeasonView } from './trial-view';

const season: SeasonView = {
  startsOn: '2026-05-01',
  endsOn: '2026-07-30',
  lengthDays: 90,
  todayAt: 60,
  picks: [{ at: 50, on: '2026-06-20', units: 24 }],
  care: [
    { at: 7, on: '2026-05-08', words: 'weekly feed' },
    { at: 50, on: '2026-06-20', words: 'weekly feed' },
  ],
  weather: [
    { at: 50, on: '2026-06-20', rainMm: 12, alert: null },
    { at: 3, on: '2026-05-04', rainMm: 0, alert: 'frost' },
  ],
  mishaps: [{ at: 58, on: '2026-06-28', words: 'KM7 gnawed' }],
};
const inRain = (mm: number) => `${mm} mm`;

test('a day is told with all that happened on it', () => {
  expect(dayWords(season, 50, inRain)).toBe(
    'Sat 20 June, day 50: weekly feed; 24 picked; 12 mm of rain.',
  );
  expect(dayWords(season, 3, inRain)).toMatch(/day 3: frost\.$/);
  expect(dayWords(season, 58, inRain)).toMatch(/day 58: KM7 gnawed\.$/);
  expect(dayWords(season, 20, inRain)).toMatch(/day 20: nothing on record\.$/);
});

test('from event to event, and at the ends to the start and to today', () => {
  expect([60, 58, 50, 7].map(from => nextEvent(season, from, 'back'))).toEqual([58, 50, 7, 0]);
  expect([0, 7, 50, 58, 60].map(from => nextEvent(season, from, 'on'))).toEqual([
    7, 50, 58, 60, 60,
  ]);
});

test('it never leaves the season, and going on and back again misses no event', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 60 }), from => {
      const [on, back] = [nextEvent(season, from, 'on'), nextEvent(season, from, 'back')];
      expect(on >= from && on <= 60).toBe(true);
      expect(back <= from && back >= 0).toBe(true);
      expect(nextEvent(season, back, 'on')).toBeGreaterThanOrEqual(back === from ? from : back + 1);
    }),
  );
});
