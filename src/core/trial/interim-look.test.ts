import { INTERIM_LOOK, interimLookDays } from './interim-look';

test('days before the end are counted once each; the end itself and what came after are no look in between', () => {
  const log = [
    { what: INTERIM_LOOK, at: '2026-07-01T08:00:00.000Z' },
    { what: INTERIM_LOOK, at: '2026-07-01T19:00:00.000Z' },
    { what: 'plan locked', at: '2026-07-02T08:00:00.000Z' },
    { what: INTERIM_LOOK, at: '2026-08-01T08:00:00.000Z' },
    { what: INTERIM_LOOK, at: '2026-08-03T08:00:00.000Z' },
  ];
  expect(interimLookDays(log, '2026-08-01')).toEqual(['2026-07-01']);
});
