import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { isBottle } from '@/core/blinding/bottle-steps';
import { addDays } from '@/core/time/garden-day';
import { careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { productFixture, rateFixture } from '@/core/trial/fixtures/product-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialData } from '@/core/trial/model/trial-data';
import { printSheet } from '@/service/files/print';
import { takeTrialIn } from '@/service/files/whole-trials';
import { today } from '@/service/garden/clock';
import { closeStore, startStore } from '@/service/garden/start';
import { reportFile } from '@/service/judge/report';
import { actHistoryOf } from '@/service/trial/entry-history';
import { findTrial, trialLog } from '@/service/trial/trials';
import { takePick } from '@/service/weigh/picks';
import { stateAllAsPlanned } from './as-planned';
import { tickBottle } from './bottle-tick';
import { calendarOf } from './calendar';
import { tickOff, undoAct } from './care-acts';
import { enterPaperLog } from './paper-log';
import { listDue } from './today';
import { logCare } from './unplanned-acts';

// The other half of features/trial/blind.test.ts: what the doors answer, troubles too, must be the same whatever is in the bottles.

const made = trialFixture({ treatments: 3, unitsEach: 3, blockCount: 3, isBlind: true });
const [first, second, third] = made.treatments;
const shelf = ['Tidewrack', 'Suds'].map((name, i) =>
  productFixture({ name, reentryHours: i === 1 ? 12 : null, waitingDays: i === 1 ? 9 : null }),
);
const given = (i: number) => ({
  productId: shelf[i]?.id ?? '',
  rate: rateFixture(20, 20),
  choice: 'high' as const,
  strength: 1,
  waterMl: 1000,
  batchId: null,
});
const dealt: TrialData = {
  ...made,
  trial: { ...made.trial, startsOn: addDays(today(), -14), endsOn: addDays(today(), 60) },
  products: shelf,
  care: {
    ...made.care,
    rules: [
      careRuleFixture({ name: 'water', kind: 'water', treatmentIds: [first!.id] }),
      careRuleFixture({ name: 'kelp', treatmentIds: [second!.id], material: given(0) }),
      careRuleFixture({
        name: 'suds',
        kind: 'spray',
        treatmentIds: [second!.id],
        material: given(1),
      }),
      careRuleFixture({
        name: 'shared',
        treatmentIds: [second!.id, third!.id],
        material: given(0),
      }),
    ],
    bottles: { [first!.id]: 'R', [second!.id]: 'K', [third!.id]: 'T', secret: 'cafe' },
  },
};

/** The contents of the bottles changed round; pots, groups and bottles as they are. */
function turned(): TrialData {
  const next = new Map([
    [first!.id, second!.id],
    [second!.id, third!.id],
    [third!.id, first!.id],
  ]);
  return {
    ...dealt,
    units: dealt.units.map(unit => ({ ...unit, treatmentId: next.get(unit.treatmentId)! })),
    care: {
      ...dealt.care,
      bottles: {
        ...Object.fromEntries([...next].map(([from, to]) => [to, dealt.care.bottles[from] ?? ''])),
        secret: 'cafe',
      },
    },
  };
}

let folder = '';
afterEach(async () => {
  await closeStore();
  rmSync(folder, { recursive: true, force: true });
});

const idAt = (n: number): string => `019f0000-0000-7000-8000-${String(n).padStart(12, '0')}`;

/** The same presses in a garden of their own, and everything that was answered. */
async function answersIn(data: TrialData): Promise<readonly unknown[]> {
  folder = mkdtempSync(join(tmpdir(), 'turnspit-'));
  process.env.TURNSPIT_DATA = join(folder, 'garden.sqlite');
  await startStore();
  const taken = await takeTrialIn(data);
  if (!taken.ok) throw new Error(JSON.stringify(taken.trouble));
  const { id } = data.trial;
  const said: unknown[] = [];
  let n = 0;
  const press = (changes: Readonly<Record<string, unknown>>) => ({
    id: idAt(n++),
    doneOn: today(),
    isSkipped: false,
    ...changes,
  });
  const due = (await listDue()).steps.filter(isBottle);
  said.push(due);
  for (const { bottle, dueOn, codes } of due) {
    said.push(await tickBottle(id, press({ bottle, dueOn, codes: codes.slice(0, 1) })));
    said.push(
      await tickBottle(id, press({ bottle, dueOn, codes: codes.slice(0, 1), note: 'Mine.' })),
    );
    said.push(await tickBottle(id, press({ bottle, dueOn })));
    said.push(await tickBottle(id, press({ bottle, dueOn })));
    said.push((await listDue()).steps);
  }
  said.push(await tickBottle(id, press({ bottle: 'bottle Q', dueOn: today() })));
  for (const rule of data.care.rules)
    for (const unit of data.units.slice(0, 3))
      said.push(
        await tickOff(id, press({ ruleId: rule.id, nth: 0, codes: [unit.code], note: 'A try.' })),
      );
  for (const unit of data.units)
    said.push(
      await takePick(id, {
        id: idAt(n++),
        unitId: unit.id,
        pickedOn: today(),
        outcome: 'picked',
        pieces: '3',
        gross: '120',
        tare: '',
        grade: 'sound',
        cullReason: null,
        note: '',
        supersedes: null,
        by: '',
      }),
    );
  for (const name of ['kelp', 'bottle K', 'bottle R', 'nonsense'])
    said.push(await enterPaperLog(id, { table: `day,step\n${addDays(today(), -7)},${name}` }));
  for (const treatmentIds of [[], [second!.id]])
    for (const productId of [null, shelf[0]!.id, shelf[1]!.id])
      said.push(
        await logCare(
          id,
          press({ name: 'a can', kind: 'feed', treatmentIds, productId, amount: '20 ml' }),
        ),
      );
  said.push(await stateAllAsPlanned(id, { by: 'Ida' }));
  const acts = (await findTrial(id))?.care.acts ?? [];
  said.push(await undoAct(id, acts[0]?.id ?? '', 'Ida'));
  said.push(
    (await actHistoryOf(id)).map(({ says, by }) => `${says} ${by}`),
    // Ids of what was logged are drawn anew in each garden.
    (await calendarOf(id, 'http://garden.test'))?.body.match(/^(DTSTART|SUMMARY).*$/gm),
    (await trialLog(id)).map(({ what }) => what),
    await reportFile(id, 'csv', true),
    await printSheet(id, {
      sheet: 'labels',
      paper: 'a4',
      format: '3x8',
      isOpen: true,
      mayLook: false,
      origin: 'http://garden',
    }),
  );
  await closeStore();
  return said;
}

test('what the doors of a blind trial answer is the same whatever is in its bottles', async () => {
  // A waiting time names its end, and pick and press the moment: neither is a matter of what is in a bottle.
  const plain = (said: unknown): string =>
    JSON.stringify(said)
      .replace(/"(takenAt|at)":"[^"]*"/g, '')
      .replace(/before \d{2}:\d{2}/g, '');
  const [mine, other] = [await answersIn(dealt), await answersIn(turned())];
  expect(mine.length).toBeGreaterThan(40);
  for (const [i, said] of mine.entries()) expect([i, plain(said)]).toEqual([i, plain(other[i])]);
});
