import { isBottle } from '@/core/blinding/bottle-steps';
import { caredFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { productFixture } from '@/core/trial/fixtures/product-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { takeTrialIn } from '@/service/files/whole-trials';
import { listDue } from '@/service/tend/today';
import { database } from '@/store/connection/database';
import { keepClock } from './clock';
import { freshGardenForEachTest } from './garden-fixture';
import { seenShelf } from './shelf';
import { fetchStandIn, recentWeather, unreadDays } from './weather';

freshGardenForEachTest();

const TODAY = '2026-05-08';
afterEach(() => keepClock({ timeZone: '', demoDay: '' }));

const dueNames = async (): Promise<readonly string[]> =>
  (await listDue()).steps.flatMap(step => (isBottle(step) ? [] : [step.rule.name]));

test('a product that is damaged in the file takes neither the shelf nor today with it, and nothing is given of it unsaid', async () => {
  keepClock({ timeZone: 'UTC', demoDay: TODAY });
  const [weak, strong] = [
    productFixture({ name: 'Tidewrack' }),
    productFixture({ name: 'Osmund' }),
  ];
  const data = caredFixture(trialFixture({ treatments: 3, unitsEach: 2 }), [weak, strong]);
  const weeding = careRuleFixture({ name: 'weeding', kind: 'other' });
  const rules = [...data.care.rules, weeding];
  expect((await takeTrialIn({ ...data, care: { ...data.care, rules } })).ok).toBe(true);
  const fed = data.care.rules.find(rule => rule.material?.productId === weak.id);
  const before = await dueNames();
  expect(before).toEqual(expect.arrayContaining([fed?.name, 'weeding']));
  await database()('products').where({ id: weak.id }).update({ facts: '{"half' });
  expect(await seenShelf()).toEqual({
    products: [strong],
    broken: [{ id: weak.id, name: 'Tidewrack' }],
  });
  expect(await dueNames()).toEqual(before.filter(name => name !== fed?.name));
});

test('a day of weather that is damaged in the file counts as not known, and is told', async () => {
  keepClock({ timeZone: 'UTC', demoDay: TODAY });
  await fetchStandIn('2026-05-01', TODAY);
  expect([(await recentWeather(8)).length, await unreadDays(8)]).toEqual([8, 0]);
  await database()('weatherDays').where({ day: '2026-05-03' }).update({ source: 'the moon' });
  const days = (await recentWeather(8)).map(({ day }) => day);
  expect(days).toHaveLength(7);
  expect(days).not.toContain('2026-05-03');
  expect(await unreadDays(8)).toBe(1);
});
