import fc from 'fast-check';
import { bottleParts, isBottle, seenDue } from '@/core/blinding/bottle-steps';
import { comingSteps } from '@/core/blinding/coming-steps';
import { datedSteps } from '@/core/blinding/dated-steps';
import { loggedRules } from '@/core/blinding/logged-rules';
import { seenActs } from '@/core/blinding/seen-acts';
import { seenLayout } from '@/core/blinding/seen-layout';
import { seenTrial } from '@/core/blinding/seen-trial';
import { fairnessAudit } from '@/core/design/audit/fairness-audit';
import { undealtTrial } from '@/core/design/layouts/draft-trial';
import { benchSheet, clipboardSheets, protocolSheets } from '@/core/print/plan-sheets';
import { careTasks } from '@/core/schedule/tasks/due-today';
import { openSteps } from '@/core/schedule/tasks/open-steps';
import { addDays } from '@/core/time/garden-day';
import { careActFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { productFixture, rateFixture } from '@/core/trial/fixtures/product-fixture';
import { pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { traitLines } from '@/core/trial/forms/trait-form';
import { actLine } from '@/core/trial/history-line';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { WeatherDay } from '@/core/weather/weather-day';
import { benchViewOf } from '@/features/bench/bench-view';
import { inspectViewOf } from '@/features/inspect/inspect-view';
import { soilViewOf } from '@/features/inspect/soil/soil-view';
import { savedBenchDraft } from '@/features/lay-out/bench-draft';
import { groundOf } from '@/features/lay-out/ground';
import { deskViewOf } from '@/features/readings/desk-view';
import { tendViewOf } from '@/features/tend/tend-view';
import { walkViewOf } from '@/features/walk/walk-view';
import { mishapsOf } from '@/features/weigh/mishap-view';
import { topsOf, yieldMeasuresOf } from '@/features/weigh/yield-measures';
import { packageTables } from '@/service/files/package-tables';
import { trialFrameOf } from './trial-view';

/**
 * A blind trial tells nothing, if everything that leaves the server would be the same had the treatments been dealt to each other's
 * pots: the same groups of pots, the same bottles, other contents. So each page is made twice, once as dealt and once with the
 * contents changed round, after the same presses; the two must not differ in a letter.
 */
const base = trialFixture({ treatments: 3, unitsEach: 4, blockCount: 4, isBlind: true });
const [first, second, third] = base.treatments;
const shelf = ['Tidewrack', 'Osmund', 'Suds'].map((name, i) =>
  productFixture({ name, reentryHours: i === 2 ? 12 : null, waitingDays: i === 2 ? 7 : 0 }),
);
const given = (i: number) => ({
  productId: shelf[i]?.id ?? '',
  rate: rateFixture(20, 20),
  choice: 'high' as const,
  strength: 1,
  waterMl: 1000,
  batchId: null,
});

/** Weekly something else for each: one gets two things at once, two share one, one keeps people out; what rain washes off all get. */
const rules = [
  careRuleFixture({
    name: 'weekly water',
    kind: 'water',
    treatmentIds: [first!.id],
  }),
  careRuleFixture({ name: 'seaweed', treatmentIds: [second!.id], material: given(0) }),
  careRuleFixture({
    name: 'sulphur dust',
    kind: 'spray',
    treatmentIds: [second!.id],
    material: given(2),
  }),
  careRuleFixture({
    name: 'shared can',
    kind: 'feed',
    treatmentIds: [second!.id, third!.id],
    material: given(1),
  }),
  careRuleFixture({ name: 'soap for all', kind: 'spray', washedOffByMm: 5 }),
];
const dealt: TrialData = {
  ...base,
  products: shelf,
  care: {
    ...base.care,
    rules,
    bottles: { [first!.id]: 'R', [second!.id]: 'K', [third!.id]: 'T', secret: 'cafe' },
  },
};

/** The same pots in the same groups with the same bottles, but other contents. */
function turned(data: TrialData): TrialData {
  const [a, b, c] = data.treatments.map(treatment => treatment.id);
  const next = new Map([
    [a, b],
    [b, c],
    [c, a],
  ]);
  const otherOf = (id: string) => next.get(id as typeof a) ?? a!;
  return {
    ...data,
    units: data.units.map(unit => ({ ...unit, treatmentId: otherOf(unit.treatmentId) })),
    care: {
      ...data.care,
      acts: [],
      bottles: Object.fromEntries(
        Object.entries(data.care.bottles).map(([id, code]) => [
          next.has(id as typeof a) ? otherOf(id) : id,
          code,
        ]),
      ),
    },
  };
}

interface Press {
  readonly bottle: string;
  readonly on: number;
  readonly some: number | null;
  readonly isSkipped: boolean;
  readonly takesBack: boolean;
}

const STARTS = base.trial.startsOn;
const RAIN: readonly WeatherDay[] = [
  {
    day: addDays(STARTS, 8),
    tmaxC: 18,
    tminC: 9,
    rainMm: 30,
    windMs: null,
    rhMax: null,
    rhMin: null,
    sunHours: null,
    source: 'file',
  },
];

/** What presses on the pages do to a trial; moments are counted up, so that both worlds have the same. */
function pressed(data: TrialData, presses: readonly Press[]): TrialData {
  return presses.reduce((now, press, nth) => {
    const today = addDays(STARTS, press.on);
    const { steps } = seenDue({ tasks: openSteps(now, today), mixing: [], forbidden: [] });
    const step = steps.filter(isBottle).find(each => each.bottle === press.bottle);
    if (press.takesBack) {
      const [last] = seenActs(now.care.acts, now);
      const gone = new Set(last?.all.map(act => act.id));
      return withActs(
        now,
        now.care.acts.filter(act => !gone.has(act.id)),
      );
    }
    if (!step) return now;
    const codes = press.some === null ? null : step.codes.slice(0, press.some);
    const acts = bottleParts(now, openSteps(now, today), step, codes).map(
      ({ ruleId, nth: at, unitIds }, i) =>
        careActFixture(careRuleFixture({ id: ruleId }), at, today, {
          id: `00000000-0000-7000-8000-${String(nth * 10 + i).padStart(12, '0')}`,
          takenAt: `${today}T10:00:${String(nth).padStart(2, '0')}.000Z`,
          unitIds,
          isSkipped: press.isSkipped,
          note: codes ? 'My shelf.' : '',
        }),
    );
    return withActs(now, [...now.care.acts, ...acts]);
  }, data);
}

function withActs(data: TrialData, acts: TrialData['care']['acts']): TrialData {
  return { ...data, care: { ...data.care, acts } };
}

/** Everything that leaves the server of a trial, page by page. */
function payloads(data: TrialData, today: string): Readonly<Record<string, unknown>> {
  const seen = seenTrial(data);
  const bench = benchViewOf(seen, false);
  const scene = {
    shelf,
    today,
    now: `${today}T12:00:00.000Z`,
    garden: {
      system: 'uk' as const,
      latitude: 51,
      altitudeM: 50,
      lastFrost: null,
      firstFrost: null,
    },
    timeZone: 'UTC',
    weather: RAIN,
  };
  const width = (words: string): number => words.length * 2;
  return {
    frame: trialFrameOf(data, today, 'the key is shut'),
    bench,
    seen,
    tend: tendViewOf(data, scene),
    coming: comingSteps(careTasks(data, today), data),
    calendar: datedSteps(careTasks(data, today), data),
    history: seenActs(data.care.acts, data).map(({ act, name }) => actLine(act, name)),
    logNames: loggedRules(data, openSteps(data, today)).rules.map(rule => rule.name),
    logSteps: loggedRules(data, openSteps(data, today)).bottles,
    walk: walkViewOf(seen, bench, today, 'uk'),
    desk: deskViewOf(seen, { bench, isOpen: false }, today, today),
    inspect: inspectViewOf(seen, []),
    soil: soilViewOf(seen, bench?.units ?? [], []),
    mishaps: mishapsOf(seen),
    tops: topsOf(seen),
    yields: yieldMeasuresOf(seen),
    layout: seenLayout(data),
    undealt: undealtTrial(data),
    draft: savedBenchDraft(data, 'uk'),
    ground: groundOf(data, false),
    traits: traitLines(data),
    audit: fairnessAudit(data, 20),
    planSheet: benchSheet(data, false, 'a4', width),
    clipboard: clipboardSheets(data, 'a4', width),
    protocol: protocolSheets(data, 'a4', width),
    tables: packageTables(data, true),
  };
}

const press = fc.record({
  bottle: fc.constantFrom('bottle K', 'bottle R', 'bottle T'),
  on: fc.integer({ min: 0, max: 40 }),
  some: fc.option(fc.integer({ min: 1, max: 3 })),
  isSkipped: fc.boolean(),
  takesBack: fc.boolean(),
});

function expectAlike(presses: readonly Press[], day: number): void {
  const ordered = [...presses].sort((a, b) => a.on - b.on);
  const today = addDays(STARTS, Math.max(day, ...ordered.map(each => each.on)));
  const [mine, other] = [pressed(dealt, ordered), pressed(turned(dealt), ordered)].map(data =>
    payloads(data, today),
  );
  for (const page of Object.keys(mine ?? {}))
    expect([page, mine?.[page]]).toEqual([page, other?.[page]]);
}

test('no page, print, calendar or history of a blind trial tells what is in a bottle, whatever was pressed before', () => {
  expectAlike([], 8);
  fc.assert(
    fc.property(fc.array(press, { maxLength: 6 }), fc.integer({ min: 0, max: 60 }), expectAlike),
    { numRuns: 60 },
  );
});

test('picks and readings change nothing of that', () => {
  const picks = dealt.units.map((unit, i) =>
    pickFixture(unit, { grossG: 100 + i, pickedOn: addDays(STARTS, 20) }),
  );
  const pair = [dealt, turned(dealt)].map(data =>
    payloads({ ...data, picks }, addDays(STARTS, 30)),
  );
  expect(pair[0]).toEqual(pair[1]);
});

test('with an open key the same pages do differ: the test can see', () => {
  const open = { ...dealt.trial, keyOpenedAt: `${STARTS}T08:00:00.000Z` };
  const due = (data: TrialData) =>
    tendViewOf(
      { ...data, trial: open },
      {
        shelf,
        today: addDays(STARTS, 7),
        now: `${addDays(STARTS, 7)}T12:00:00.000Z`,
        garden: { system: 'uk', latitude: 51, altitudeM: 50, lastFrost: null, firstFrost: null },
        timeZone: 'UTC',
        weather: [],
      },
    ).due;
  expect(due(dealt)).not.toEqual(due(turned(dealt)));
});

test('nothing that a page gets lists pots in an order that goes by treatment', () => {
  const treatmentOf = new Map(
    dealt.units.flatMap(unit => [
      [unit.id as string, unit.treatmentId],
      [unit.code as string, unit.treatmentId],
    ]),
  );
  const runsOf = (order: readonly string[]): number =>
    order.filter((id, i) => i === 0 || treatmentOf.get(id) !== treatmentOf.get(order[i - 1] ?? ''))
      .length;
  const ids = [...dealt.units].map(unit => unit.id as string).sort();
  const codes = (benchViewOf(seenTrial(dealt), false)?.units ?? []).map(unit => unit.code);
  for (const order of [ids, codes]) expect(runsOf(order)).toBeGreaterThan(dealt.treatments.length);
});
