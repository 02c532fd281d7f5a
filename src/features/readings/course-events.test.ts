import { eventsBetween } from './course-events';

const season = {
  care: [
    { at: 3, on: '2026-05-04', words: 'weekly feed' },
    { at: 40, on: '2026-06-10', words: 'tied in' },
  ],
  mishaps: [{ at: 9, on: '2026-05-10', words: 'AB1: slugs' }],
  weather: [
    { at: 5, on: '2026-05-06', rainMm: 12, alert: null },
    { at: 6, on: '2026-05-07', rainMm: 0, alert: 'frost' as const },
  ],
};

test('what happened between the first and the last reading, in its order; mere rain is no event', () => {
  expect(eventsBetween(season, '2026-05-04', '2026-05-31')).toEqual([
    { on: '2026-05-04', words: 'weekly feed', kind: 'care' },
    { on: '2026-05-07', words: 'frost', kind: 'weather' },
    { on: '2026-05-10', words: 'AB1: slugs', kind: 'mishap' },
  ]);
  expect(eventsBetween(season, '2026-05-11', '2026-06-09')).toEqual([]);
});
