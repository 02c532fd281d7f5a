import { readdirSync, utimesSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { addDays } from '@/core/time/garden-day';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { backUpNow, backUpToday, listBackups } from './daily-backups';
import { takeTrialIn } from './whole-trials';

freshGardenForEachTest();

const folder = () => join(dirname(process.env.TURNSPIT_DATA ?? ''), 'backups');

test('an empty garden has nothing to keep; one with a trial is copied once a day', async () => {
  expect(await backUpToday()).toEqual({ ok: true, value: 'nothing to do' });
  await takeTrialIn(trialFixture());
  expect(await backUpToday()).toEqual({ ok: true, value: 'written' });
  expect(await backUpToday()).toEqual({ ok: true, value: 'nothing to do' });
  expect(readdirSync(folder())).toEqual([`daily-${today()}`]);
});

test('one made by hand stands in the list beside the daily ones and is not rotated away', async () => {
  await takeTrialIn(trialFixture());
  const made = await backUpNow('by-hand');
  if (!made.ok) throw new Error(made.trouble.kind);
  const long = new Date(`${addDays(today(), -900)}T08:00:00Z`);
  utimesSync(join(folder(), made.value, 'turnspit.sqlite'), long, long);
  await backUpToday();
  expect((await listBackups()).map(each => each.name)).toEqual([`daily-${today()}`, made.value]);
  expect((await listBackups()).every(each => each.bytes > 10_000)).toBe(true);
});
