import { render, screen } from '@testing-library/react';
import { careActFixture, caredFixture } from '@/core/trial/fixtures/care-fixture';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { SeasonLine } from './SeasonLine';
import { trialFrameOf } from './trial-view';

const data = caredFixture(trialFixture({ treatments: 2, unitsEach: 2 }));
const [rule] = data.care.rules;
const [unit] = data.units;
if (!rule || !unit) throw new Error('the fixture must have a rule and a unit');
const weather = [
  {
    day: '2026-05-03',
    tmaxC: 12,
    tminC: -2,
    rainMm: 0,
    windMs: null,
    rhMax: null,
    rhMin: null,
    sunHours: null,
    source: 'file' as const,
  },
  {
    day: '2026-05-04',
    tmaxC: 12,
    tminC: 6,
    rainMm: 14.6,
    windMs: null,
    rhMax: null,
    rhMin: null,
    sunHours: null,
    source: 'file' as const,
  },
];

test('the season says what was tended, how much it rained, and when it froze', () => {
  const acts = [
    careActFixture(rule, 0, '2026-05-01'),
    careActFixture(rule, 1, '2026-05-08'),
    careActFixture(rule, 2, '2026-05-15', { isSkipped: true, note: 'Rain.' }),
  ];
  const tended = {
    ...data,
    care: { ...data.care, acts },
    picks: [{ ...pickFixture(unit), pickedOn: '2026-06-20' }],
  };
  render(<SeasonLine season={trialFrameOf(tended, '2026-06-30', null, weather).season} />);
  expect(
    screen.getByText('● one pick, on 20 June · ▾ tended on 2 days · 15 mm of rain, 1 frost'),
  ).toBeVisible();
});

test('a bare season says only what it has', () => {
  render(<SeasonLine season={trialFrameOf({ ...data, picks: [] }, '2026-06-30', null).season} />);
  expect(screen.getByText('no pick yet')).toBeVisible();
});

test('under Tend stands what is due', () => {
  const words = (today: string, state: 'locked' | 'closed' = 'locked') =>
    trialFrameOf({ ...data, trial: { ...data.trial, state } }, today, null).facts.tend;
  expect([words('2026-04-30'), words('2026-05-01'), words('2026-05-01', 'closed')]).toEqual([
    'nothing due',
    '1 due',
    '0 tasks done',
  ]);
});
