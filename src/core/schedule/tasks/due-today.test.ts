import fc from 'fast-check';
import { bottleCodes } from '@/core/schedule/rules/bottle-codes';
import { addDays } from '@/core/time/garden-day';
import { careActFixture, caredFixture } from '@/core/trial/fixtures/care-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { doneTasks } from '@/core/trial/model/care-plan';
import { dueToday } from './due-today';
import { receiversOf } from './receivers';
import { dueTasks } from './task-state';
import { tasksOf } from './tasks';
import { unitMeasuresOf } from './unit-measures';
import { holding, washedOffSteps } from './washed-off';

const data = caredFixture(
  trialFixture({ treatments: 3, unitsEach: 4, blockCount: 4, isBlind: true }),
);
const unit = unitMeasuresOf(
  data.places.find(place => place.id === data.units[0]?.placeId),
  null,
);
const cared = (changes: Partial<typeof data.trial> = {}) => ({
  trial: { ...data.trial, ...changes },
  care: data.care,
  done: [],
  treatments: data.treatments,
  units: data.units,
  unit,
});

test('what is due is told with what each unit gets; done is done', () => {
  const due = dueToday([cared({ isBlind: false })], data.products, '2026-05-08');
  expect(due.tasks.map(task => [task.rule.name, task.task.state, task.units])).toEqual([
    ['feed 1 weekly', 'due', 4],
    ['feed 2 weekly', 'due', 4],
  ]);
  expect(due.tasks[0]?.each).toEqual({ kind: 'volume', ml: expect.closeTo(1000 * (20 / 4500), 9) });
  const [first] = data.care.rules;
  if (!first) throw new Error('there must be a rule');
  const after = {
    ...cared({ isBlind: false }),
    done: doneTasks([careActFixture(first, 1, '2026-05-08')]),
  };
  expect(dueToday([after], data.products, '2026-05-08').tasks.map(task => task.rule.name)).toEqual([
    'feed 2 weekly',
  ]);
  expect(due.mixing).toHaveLength(2);
});

test('codes come in walking order, all of a treatment and none other', () => {
  const [rule] = data.care.rules;
  const receivers = rule ? receiversOf(rule, cared({ isBlind: false })) : [];
  const own = data.units.filter(each => each.treatmentId === data.treatments[1]?.id);
  expect(receivers).toEqual([
    {
      label: 'feed 1',
      of: 4,
      codes: [...own].sort((a, b) => a.position - b.position).map(each => each.code),
    },
  ]);
});

test('bottles have a code each, whatever the seed', () => {
  for (let seed = 0; seed < 50; seed++)
    expect(
      new Set(
        Object.values(
          bottleCodes(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'i', 'j', 'k', 'l', 'm', 'n'], seed),
        ),
      ).size,
    ).toBe(14);
  expect(
    new Set(Array.from({ length: 30 }, (_, seed) => bottleCodes(['a', 'b'], seed).a)).size,
  ).toBeGreaterThan(5);
});

test('a rate counts by a round top, or by a bed’s sides', () => {
  expect(unitMeasuresOf({ shape: 'round', widthMm: 300, depthMm: 300 }, 9000)).toMatchObject({
    areaM2: expect.closeTo(0.0707, 4),
    mixMl: 9000,
  });
  expect(unitMeasuresOf({ shape: 'square', widthMm: 1000, depthMm: 500 }, null).areaM2).toBeCloseTo(
    0.5,
    9,
  );
});

test('dating only the last days finds what dating the whole season finds', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 9 }),
      fc.integer({ min: 0, max: 40 }),
      fc.array(fc.integer({ min: 0, max: 40 }), { maxLength: 12 }),
      fc.integer({ min: 0, max: 12 }),
      (days, at, nths, wet) => {
        const base = cared({ isBlind: false });
        const rules = base.care.rules.map(rule => ({
          ...rule,
          repeat: { kind: 'every' as const, days },
          washedOffByMm: 5,
        }));
        const today = addDays(base.trial.startsOn, at);
        const done = rules
          .flatMap(rule =>
            [...new Set(nths)].map(nth => ({
              ruleId: rule.id,
              nth,
              on: addDays(base.trial.startsOn, nth * days),
              isSkipped: false,
            })),
          )
          .filter(each => each.on <= today);
        const rain = [{ day: addDays(today, -wet), rainMm: 9 }];
        const washedOff = washedOffSteps(rules, done, rain);
        const held = holding(done, washedOff);
        const whole = dueTasks(
          tasksOf(rules, {
            startsOn: base.trial.startsOn,
            endsOn: base.trial.endsOn,
            stages: {},
            done: held,
            washedOff,
          }),
          held,
          today,
          'do-late',
        );
        const found = dueToday(
          [{ ...base, care: { ...base.care, rules }, done }],
          [],
          today,
          rain,
        ).tasks.map(due => due.task);
        const key = (task: {
          readonly ruleId: string;
          readonly nth: number;
          readonly dueOn: string | null;
        }): string => `${task.ruleId} ${task.nth} ${task.dueOn}`;
        expect(found.map(key).sort()).toEqual(whole.map(key).sort());
      },
    ),
  );
});

describe('units of different size', () => {
  const open = caredFixture(trialFixture({ treatments: 2, unitsEach: 2 }));
  const built = (areaM2: number) => ({
    areaM2,
    mixMl: null,
    plants: null,
    seedG: null,
    plantedMm: null,
    plantedOn: null,
    lot: '',
    container: '',
    medium: '',
  });
  const dressed = (areas: readonly number[]) => {
    const units = open.units.map((each, i) => ({ ...each, built: built(areas[i] ?? 1) }));
    const [rule] = open.care.rules;
    const material = rule?.material;
    const rules = [
      {
        ...rule!,
        treatmentIds: [],
        material: {
          ...material!,
          waterMl: null,
          rate: { ...material!.rate, low: 100, high: 100, per: { kind: 'area' as const, m2: 1 } },
        },
      },
    ];
    const cared = {
      ...open,
      units,
      care: { ...open.care, rules },
      done: [],
      unit: unitMeasuresOf(undefined, null, units),
    };
    return dueToday([cared], open.products, open.trial.startsOn, []);
  };

  test('each gets by its own size, and what is mixed is the sum of it', () => {
    const { tasks, mixing } = dressed([0.1, 0.1, 0.1, 0.4]);
    const [task] = tasks;
    expect(task?.each).toBeNull();
    expect(task?.receivers.map(({ codes, each }) => [codes.length, each]).sort()).toEqual([
      [1, { kind: 'volume', ml: expect.closeTo(10, 9) }],
      [1, { kind: 'volume', ml: expect.closeTo(40, 9) }],
      [2, { kind: 'volume', ml: expect.closeTo(10, 9) }],
    ]);
    expect(mixing[0]?.amount).toBeCloseTo(70, 9);
  });

  test('where all are alike there is one amount', () => {
    const { tasks } = dressed([0.2, 0.2, 0.2, 0.2]);
    expect(tasks[0]?.each).toEqual({ kind: 'volume', ml: expect.closeTo(20, 9) });
    expect(tasks[0]?.receivers.every(receiver => !('each' in receiver))).toBe(true);
  });
});
