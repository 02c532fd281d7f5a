import { v7 } from 'uuid';
import { addDays } from '@/core/time/garden-day';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { askTrial } from '@/service/trial/ask';
import { addMeasureToTrial } from '@/service/trial/measures';
import { findTrial } from '@/service/trial/trials';
import { database } from '@/store/connection/database';
import { currentReadings } from '@/store/readings';
import { importReadings } from './import-readings';
import { takeReadings } from './readings';

freshGardenForEachTest();

const CONNECTIONS = [1, 2, 3, 4];
const NO_LIMIT = 1_000_000;

/** What a full disk is to SQLite: no page more may be had. It is a limit of each connection, so all of them are asked at once. */
async function mostPages(most: number): Promise<void> {
  await Promise.all(CONNECTIONS.map(() => database().raw(`pragma max_page_count = ${most}`)));
}

const question = {
  question: 'Does a feed help?',
  crop: 'beans',
  picked: 'beans',
  unitWord: 'pot',
  startsOn: addDays(today(), -14),
  endsOn: addDays(today(), 60),
  treatments: [{ name: 'plain water' }, { name: 'feed' }],
  control: 0,
  summary: 'sound-weight',
  better: 'higher',
  marginKind: 'percent',
  margin: '15',
};

async function laidOut() {
  const asked = await askTrial(question);
  if (!asked.ok) throw new Error(JSON.stringify(asked.trouble));
  const { id } = asked.value;
  await dealTrial(id, {
    kind: 'complete-randomisation',
    unitsEach: '3',
    blockCount: '2',
    blockWord: 'shelf',
    unitWidth: '25 cm',
    isBlind: true,
  });
  await lockPlan(id);
  const height = await addMeasureToTrial(id, { from: 'library', key: 'height' });
  const data = await findTrial(id);
  if (!(height.ok && data)) throw new Error('the trial must be there');
  return { id, data, measureId: height.value.id };
}

test('a full disk refuses readings and a file as a whole, and takes them once there is room', async () => {
  const { id, data, measureId } = await laidOut();
  const entry = (nth: number) => ({
    id: v7(),
    unitId: data.units[nth % 6]?.id,
    measureId,
    takenOn: addDays(today(), -(nth % 14)),
    value: '40',
    note: 'x'.repeat(400),
  });
  await mostPages(1);
  const sent = Array.from({ length: 400 }, (_, nth) => entry(nth));
  const rows = data.units.flatMap(unit =>
    Array.from(
      { length: 14 },
      (_, ago) => `${unit.code},${addDays(today(), -ago)},41,${unit.id.repeat(9)}`,
    ),
  );
  const file = {
    id: v7(),
    csv: ['pot,day,height,note', ...rows].join('\n'),
    roles: [
      { kind: 'unit' },
      { kind: 'day' },
      { kind: 'measure', measureId, unit: 'cm' },
      { kind: 'note' },
    ],
    day: today(),
  };
  const disk = { kind: 'disk-full' };
  expect(await takeReadings(id, sent)).toEqual({ ok: false, trouble: disk });
  expect(await importReadings(id, file)).toEqual({
    ok: false,
    trouble: { kind: 'trial', trouble: disk },
  });
  expect(await currentReadings(database(), id)).toEqual([]);
  await mostPages(NO_LIMIT);
  expect(await takeReadings(id, sent.slice(0, 6))).toMatchObject({ ok: true });
  expect(
    await importReadings(id, {
      ...file,
      csv: `pot,day,height,note\n${data.units[0]?.code},${addDays(today(), -9)},41,`,
    }),
  ).toMatchObject({ ok: true });
  expect(await currentReadings(database(), id)).toHaveLength(7);
});

test('a full disk refuses a question and keeps the trials that stand', async () => {
  const { id } = await laidOut();
  await mostPages(1);
  const answers = [];
  for (let nth = 0; nth < 40; nth += 1) answers.push(await askTrial(question));
  expect(answers.at(-1)).toEqual({ ok: false, trouble: { kind: 'disk-full' } });
  await mostPages(NO_LIMIT);
  expect(await askTrial(question)).toMatchObject({ ok: true });
  expect(await findTrial(id)).toBeDefined();
});
