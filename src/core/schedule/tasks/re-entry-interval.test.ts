import { unevenActs } from '@/core/schedule/adherence/uneven-acts';
import { careActFixture, caredFixture } from '@/core/trial/fixtures/care-fixture';
import { productFixture } from '@/core/trial/fixtures/product-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { reEntryOf } from './re-entry-interval';

const suds = productFixture({ name: 'Pewter Lane suds', reentryHours: 4 });
const data = caredFixture(trialFixture({ treatments: 2, unitsEach: 3 }), [suds]);
const [rule] = data.care.rules;
if (!rule) throw new Error('the fixture must have a rule');
const sprayed = careActFixture(rule, 0, '2026-06-01', { takenAt: '2026-06-01T07:00:00.000Z' });

test('a bed is closed for the hours of the label, from when it was sprayed', () => {
  expect(reEntryOf([rule], [sprayed], data.products, '2026-06-01T10:59:00.000Z', 'UTC')).toEqual([
    { product: 'Pewter Lane suds', ruleId: rule.id, until: '2026-06-01T11:00:00.000Z' },
  ]);
  expect(reEntryOf([rule], [sprayed], data.products, '2026-06-01T11:00:00.000Z', 'UTC')).toEqual(
    [],
  );
});

test('written down a day later, the hours count from the end of the day of spraying; what was left out closes nothing', () => {
  const late = careActFixture(rule, 0, '2026-06-01', { takenAt: '2026-06-02T02:00:00.000Z' });
  expect(
    reEntryOf([rule], [late], data.products, '2026-06-02T03:00:00.000Z', 'UTC').map(
      off => off.until,
    ),
  ).toEqual(['2026-06-02T04:00:00.000Z']);
  expect(
    reEntryOf(
      [rule],
      [{ ...sprayed, isSkipped: true }],
      data.products,
      '2026-06-01T08:00:00.000Z',
      'UTC',
    ),
  ).toEqual([]);
});

test('an act that only some units got is listed with their codes', () => {
  const [unit] = data.units.filter(each => rule.treatmentIds.includes(each.treatmentId));
  if (!unit) throw new Error('the fixture must have a fed unit');
  const care = {
    ...data.care,
    acts: [
      sprayed,
      careActFixture(rule, 1, '2026-06-08', { unitIds: [unit.id], note: 'The can ran dry.' }),
    ],
  };
  expect(unevenActs({ ...data, care })).toEqual([
    { name: rule.name, on: '2026-06-08', codes: [unit.code], of: 3, note: 'The can ran dry.' },
  ]);
});

test('hours count from the garden’s own day: sprayed at ten in the evening in Los Angeles, the bed opens no hour early', () => {
  const evening = careActFixture(rule, 0, '2026-06-01', { takenAt: '2026-06-02T05:00:00.000Z' });
  const until = (zone: string, act = evening) =>
    reEntryOf([rule], [act], data.products, '2026-06-02T05:30:00.000Z', zone).map(off => off.until);
  const [inTime] = until('America/Los_Angeles');
  const hours = (Date.parse(inTime ?? '') - Date.parse('2026-06-02T05:00:00.000Z')) / 3_600_000;
  expect(hours).toBe(data.products.find(each => each.reentryHours)?.reentryHours);
  // Ticked off two days later: from the end of its own day there, which is seven in the morning in UTC.
  const [late] = until('America/Los_Angeles', { ...evening, takenAt: '2026-06-04T05:00:00.000Z' });
  expect((Date.parse(late ?? '') - Date.parse('2026-06-02T07:00:00.000Z')) / 3_600_000).toBe(hours);
});
