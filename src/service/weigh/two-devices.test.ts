import { execFileSync } from 'node:child_process';
import { resolve } from 'node:path';
import fc from 'fast-check';
import { v7 } from 'uuid';
import { addDays } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { today } from '@/service/garden/clock';
import { freshGardenForEachTest } from '@/service/garden/garden-fixture';
import { dealTrial, lockPlan } from '@/service/layout/lay-out';
import { saveCareRule } from '@/service/tend/care';
import { tickOff } from '@/service/tend/care-acts';
import { askTrial } from '@/service/trial/ask';
import { addMeasureToTrial } from '@/service/trial/measures';
import { findTrial } from '@/service/trial/trials';
import { recordMishap } from './mishaps';
import { takePick } from './picks';
import { takeReadings } from './readings';

freshGardenForEachTest();

const UNITS = 4;
const STARTS = addDays(today(), -14);

async function dataOf(id: string): Promise<TrialData> {
  const data = await findTrial(id);
  if (!data) throw new Error('the trial must be there');
  return data;
}

async function running(): Promise<TrialData> {
  const trial = await askTrial({
    question: 'Does a feed help?',
    crop: 'beans',
    picked: 'beans',
    unitWord: 'pot',
    startsOn: STARTS,
    endsOn: addDays(today(), 60),
    treatments: [{ name: 'plain water' }, { name: 'feed' }],
    control: 0,
    summary: 'sound-weight',
    better: 'higher',
    marginKind: 'percent',
    margin: '15',
  });
  if (!trial.ok) throw new Error(JSON.stringify(trial.trouble));
  const { id } = trial.value;
  await dealTrial(id, {
    kind: 'complete-randomisation',
    unitsEach: String(UNITS / 2),
    blockCount: '2',
    blockWord: 'shelf',
    unitWidth: '25 cm',
    isBlind: false,
  });
  await lockPlan(id);
  await addMeasureToTrial(id, { from: 'library', key: 'height' });
  const water = {
    name: 'water',
    kind: 'water',
    from: 'start',
    fromDays: '0',
    repeat: 'every',
    everyDays: '7',
    until: 'end',
  };
  const saved = await saveCareRule(id, null, water, 'It is hot.');
  if (!saved.ok) throw new Error(JSON.stringify(saved.trouble));
  return dataOf(id);
}

/** Something that a device sends: what it is, and how. */
interface Sent {
  readonly id: string;
  readonly send: () => Promise<boolean>;
}

/** What one of two helpers sends of one half of the pots: readings and one of them changed, picks and one changed, a step in part, a mishap. */
function sentBy(data: TrialData, helper: 0 | 1): readonly Sent[] {
  const { trial, units, measures, care } = data;
  const height = measures.find(measure => measure.kindKey === 'height');
  const own = units.filter((_, i) => i % 2 === helper);
  const by = helper === 0 ? 'Ida' : 'Jory';
  const reading = (id: string, unitId: string, value: string, supersedes: string | null): Sent => ({
    id,
    send: async () => {
      const entry = { id, unitId, measureId: height?.id, takenOn: today(), value, supersedes, by };
      const taken = await takeReadings(trial.id, [entry]);
      return taken.ok && taken.value.every(each => each.result.ok);
    },
  });
  const pick = (id: string, unitId: string, gross: string, supersedes: string | null): Sent => ({
    id,
    send: async () =>
      (
        await takePick(trial.id, {
          id,
          unitId,
          supersedes,
          pickedOn: today(),
          outcome: 'picked',
          pieces: '3',
          gross,
          tare: '',
          grade: 'sound',
          cullReason: null,
          note: '',
          by,
        })
      ).ok,
  });
  const [first] = own;
  const readings = own.map(unit => reading(v7(), unit.id, '21 cm', null));
  const picks = own.map(unit => pick(v7(), unit.id, `${200 + helper} g`, null));
  const [tick, mishap] = [v7(), v7()];
  return [
    ...readings,
    reading(v7(), first?.id ?? '', '23 cm', readings[0]?.id ?? null),
    ...picks,
    pick(v7(), first?.id ?? '', '300 g', picks[0]?.id ?? null),
    {
      id: tick,
      send: async () =>
        (
          await tickOff(trial.id, {
            id: tick,
            ruleId: care.rules[0]?.id,
            nth: 0,
            doneOn: STARTS,
            isSkipped: false,
            codes: own.map(unit => unit.code),
            note: 'My half.',
            by,
          })
        ).ok,
    },
    {
      id: mishap,
      send: async () =>
        (
          await recordMishap(trial.id, {
            id: mishap,
            codes: own.map(unit => unit.code),
            cause: 'frost',
            byTreatment: 'no',
            decision: 'keep',
            happenedOn: today(),
            why: 'The lid blew off.',
            by,
          })
        ).ok,
    },
  ];
}

/** What stands, without the ids and instants of this run. */
function standing({ readings, picks, incidents, care, units }: TrialData): readonly string[] {
  const codeOf = (id: string) => units.find(unit => unit.id === id)?.code;
  return [
    ...readings.map(each => `read ${codeOf(each.unitId)} ${each.value} ${each.by}`),
    ...picks.map(each => `pick ${codeOf(each.unitId)} ${each.netG} ${each.by}`),
    ...incidents.map(each => `mishap ${codeOf(each.unitId)} ${each.by}`),
    ...care.acts.map(
      each => `act ${each.nth} ${each.unitIds?.map(codeOf).sort().join()} ${each.by}`,
    ),
  ].sort();
}

test('two devices, in whatever order they come through, and however often each sends: all of it stands, once', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.boolean(), { minLength: 24, maxLength: 24 }),
      fc.array(fc.nat({ max: 2 }), { minLength: 16, maxLength: 16 }),
      async (turns, again) => {
        const data = await running();
        const queues: readonly [Sent[], Sent[]] = [[...sentBy(data, 0)], [...sentBy(data, 1)]];
        const all = queues.flat();
        const order: Sent[] = [];
        for (const turn of turns) order.push(...(turn ? queues[1] : queues[0]).splice(0, 1));
        order.push(...queues[0], ...queues[1]);
        for (const [i, sent] of order.entries()) {
          expect(await sent.send()).toBe(true);
          for (let time = 0; time < (again[i] ?? 0); time++) expect(await sent.send()).toBe(true);
        }
        // An answer that was lost: everything once more, long after.
        for (const sent of all) expect(await sent.send()).toBe(true);
        const codes = data.units.map(unit => unit.code);
        const half = (helper: 0 | 1) => codes.filter((_, i) => i % 2 === helper);
        const expected = ([0, 1] as const).flatMap(helper => {
          const by = helper === 0 ? 'Ida' : 'Jory';
          const [changed, ...rest] = half(helper);
          return [
            `read ${changed} 230 ${by}`,
            ...rest.map(code => `read ${code} 210 ${by}`),
            `pick ${changed} 300 ${by}`,
            ...rest.map(code => `pick ${code} ${200 + helper} ${by}`),
            ...half(helper).map(code => `mishap ${code} ${by}`),
            `act 0 ${[...half(helper)].sort().join()} ${by}`,
          ];
        });
        expect(standing(await dataOf(data.trial.id))).toEqual(expected.sort());
      },
    ),
    { numRuns: 8 },
  );
  // Eight gardens, each sent to some hundred times: a limit against hanging, not a measure.
}, 240_000);

test('of two devices that read the same pot the second is told what stands, and may choose', async () => {
  const data = await running();
  const height = data.measures.find(measure => measure.kindKey === 'height');
  const entry = (value: string, supersedes: string | null = null) => ({
    id: v7(),
    unitId: data.units[0]?.id,
    measureId: height?.id,
    takenOn: today(),
    value,
    supersedes,
  });
  const first = entry('21 cm');
  await takeReadings(data.trial.id, [first]);
  expect(await takeReadings(data.trial.id, [entry('25 cm')])).toMatchObject({
    ok: true,
    value: [{ result: { trouble: { kind: 'already-read', standing: { value: 210 } } } }],
  });
  expect(await takeReadings(data.trial.id, [entry('25 cm', first.id)])).toMatchObject({
    ok: true,
    value: [{ result: { ok: true } }],
  });
  expect((await dataOf(data.trial.id)).readings.map(each => each.value)).toEqual([250]);
});

test('the day of an instant in the garden, and of a reading that was put down then, is the same on servers in three time zones', () => {
  const script = `
    import { readReading } from '@/core/measure/reading/reading-form';
    import { dayIn, endOfDay } from '@/core/time/time-zone';
    const instants = ['2026-03-29T00:30:00.000Z', '2026-06-02T05:30:00.000Z', '2026-12-31T23:59:59.000Z'];
    const zones = ['America/Los_Angeles', 'Europe/London', 'Pacific/Auckland'];
    const read = (takenOn, takenAt) => readReading(
      { id: '019a0000-0000-7000-8000-000000000001', unitId: '019a0000-0000-7000-8000-000000000002', measureId: '019a0000-0000-7000-8000-000000000003', takenOn, takenAt, value: '213' },
      { measure: { id: '', scale: { kind: 'count' }, unit: '' }, system: 'uk', startsOn: '2026-05-01', today: dayIn('2026-06-02T05:30:00.000Z', zones[0]), now: '2026-06-02T05:30:00.000Z', dayAt: at => dayIn(at, zones[0]) },
    );
    console.log(JSON.stringify([
      zones.flatMap(zone => instants.map(at => [dayIn(at, zone), endOfDay(dayIn(at, zone), zone)])),
      ['2026-06-01', '2026-06-02', '2026-06-03'].map(day => read(day, '2026-06-02T05:30:00.000Z')),
    ]));
  `;
  const answers = ['America/Los_Angeles', 'UTC', 'Pacific/Kiritimati'].map(TZ =>
    execFileSync(resolve('node_modules/.bin/tsx'), ['-e', script], {
      env: { ...process.env, TZ },
      encoding: 'utf8',
    }),
  );
  expect(new Set(answers).size).toBe(1);
  const [days, readings] = JSON.parse(answers[0] ?? '');
  expect(days).toContainEqual(['2026-06-01', '2026-06-02T07:00:00.000Z']);
  // Half past ten in the evening of the 1st in Los Angeles; a phone that is a day ahead says the 2nd, one that is wrong the 3rd.
  expect(readings).toMatchObject([
    { ok: true, value: { takenOn: '2026-06-01', value: 213 } },
    { ok: true, value: { takenOn: '2026-06-01', value: 213 } },
    { ok: false },
  ]);
});
