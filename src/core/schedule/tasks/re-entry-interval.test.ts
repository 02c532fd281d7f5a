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
  expect(reEntryOf([rule], [sprayed], data.products, '2026-06-01T10:59:00.000Z')).toEqual([
    { product: 'Pewter Lane suds', ruleId: rule.id, until: '2026-06-01T11:00:00.000Z' },
  ]);
  expect(reEntryOf([rule], [sprayed], data.products, '2026-06-01T11:00:00.000Z')).toEqual([]);
});

test('written down a day later, the hours count from the end of the day of spraying; what was left out closes nothing', () => {
  const late = careActFixture(rule, 0, '2026-06-01', { takenAt: '2026-06-02T02:00:00.000Z' });
  expect(
    reEntryOf([rule], [late], data.products, '2026-06-02T03:00:00.000Z').map(off => off.until),
  ).toEqual(['2026-06-02T03:59:59.000Z']);
  expect(
    reEntryOf([rule], [{ ...sprayed, isSkipped: true }], data.products, '2026-06-01T08:00:00.000Z'),
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
