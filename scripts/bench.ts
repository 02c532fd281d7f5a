import { unitMeasuresOf } from '@/core/schedule/tasks/unit-measures';
// npm run bench: how long the judge takes, whether its memory grows, and how soon the first page is there. Prints figures;
// asserts nothing, because a shared machine has slow minutes. `npm run bench -- verdict today` runs these two only.

import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import Sqlite from 'better-sqlite3';
import { v7 } from 'uuid';
import { judge } from '@/core/judge/outcomes/judge';
import { plannedInput } from '@/core/judge/planning/planned-input';
import { simulateVerdicts } from '@/core/judge/planning/simulate-verdicts';
import { sizeCurve, sizesFor } from '@/core/judge/planning/size-curve';
import { type JudgeInput, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { careTasks, dueToday } from '@/core/schedule/tasks/due-today';
import { CURVES } from '@/core/stats/curves/curve-shapes';
import { fitCurve } from '@/core/stats/curves/fit-curve';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { addDays } from '@/core/time/garden-day';
import { careActFixture, careRuleFixture } from '@/core/trial/fixtures/care-fixture';
import { productFixture, rateFixture } from '@/core/trial/fixtures/product-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_LAYOUT } from '@/core/trial/model/blank-facts';
import { doneTasks, NO_CARE } from '@/core/trial/model/care-plan';
import { GardenId } from '@/core/trial/model/ids';
import type { Measure } from '@/core/trial/model/measure';
import type { TrialData } from '@/core/trial/model/trial-data';
import { demoSeason } from '@/demo/demo-season';
import { type DemoScript, demoTrial } from '@/demo/demo-trial';
import { seasonDice } from '@/demo/seeded-season';
import { today } from '@/service/garden/clock';
import { closeStore, startStore } from '@/service/garden/start';
import { listDue } from '@/service/tend/today';
import { keepSeason } from '@/service/trial/keep-trial';
import { addMeasureToTrial } from '@/service/trial/measures';
import { takeReadings } from '@/service/weigh/readings';
import { benchGardens } from './bench-gardens';
import { chromiumPath } from './chromium.mjs';

const TREATMENTS = ['water', 'a', 'b', 'c', 'd', 'e'];

/** 48 pots, 6 treatments, 8 blocks; so many of them without a reading. */
function judgeInput(lost: readonly number[], shuffles: number): JudgeInput {
  const random = seededRandom(5);
  const units = Array.from({ length: 48 }, (_, i) => {
    const value =
      100 + (i % 6) * 5 + (random.below(1000) + random.below(1000) + random.below(1000)) / 50;
    return {
      id: String(i),
      treatment: TREATMENTS[i % 6] ?? '',
      blocks: [String(Math.floor(i / 6))],
      value: lost.includes(i) ? null : value,
    };
  });
  return {
    outcome: 'continuous',
    response: 'beans',
    unitWord: 'pot',
    treatmentName: 'feed',
    treatments: TREATMENTS,
    control: 'water',
    blockNames: ['shelf'],
    units,
    subsamples: 48,
    better: 'higher',
    margin: { kind: 'percent', percent: 15 },
    confidence: 0.95,
    shuffles,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
  };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
}

function timesMs(runs: number, work: () => void): readonly number[] {
  return Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
}

function benchJudge(): void {
  for (const [name, lost] of [
    ['balanced blocks', []],
    ['three pots lost', [3, 20, 41]],
  ] as const) {
    const input = judgeInput(lost, 20_000);
    const [first = 0, ...later] = timesMs(16, () => void judge(input));
    console.log(
      `judge, 48 pots, 6 treatments, 8 blocks, 20,000 shuffles, ${name}: median ${median(later).toFixed(0)} ms of 15 (first ${first.toFixed(0)} ms)`,
    );
  }
  for (const shuffles of [20_000, 400_000]) {
    const before = process.memoryUsage().heapUsed;
    judge(judgeInput([], shuffles));
    console.log(
      `heap grown by ${((process.memoryUsage().heapUsed - before) / 1e6).toFixed(1)} MB over ${shuffles.toLocaleString('en')} shuffles`,
    );
  }
}

/** How each kind's method grows with the pots, two treatments without blocks. */
function benchKinds(): void {
  for (const kind of ['count', 'proportion', 'ordinal', 'time'] as const) {
    const taken = [10, 100, 1000, 10_000].map(pots => {
      const units = Array.from({ length: pots }, (_, i) => ({
        id: String(i),
        treatment: `t${i % 2}`,
        blocks: [],
        value: 20 + (i % 2) + ((13 * i) % 11),
        ...(kind === 'proportion' ? { outOf: 50 } : {}),
        hasCome: true,
      }));
      const input = {
        ...judgeInput([], 0),
        outcome: kind,
        response: 'it',
        unitWord: 'pot',
        treatmentName: 'feed',
        treatments: ['t0', 't1'],
        control: 't0',
        blockNames: [],
        isPaired: false,
        units,
        better: 'higher',
        margin: null,
        confidence: 0.95,
        seed: 1,
        isDeclared: true,
      } as const;
      return `${pots} pots ${median(
        timesMs(3, () => {
          judge(input);
        }),
      ).toFixed(0)} ms`;
    });
    process.stdout.write(`judged by kind, ${kind}: ${taken.join(', ')} (median of 3)\n`);
  }
}

/** How the judge of means grows with the pots, without shuffles and with 1,000 of them; three treatments in blocks of three. */
function benchMeans(): void {
  const inputOf = (pots: number, shuffles: number): JudgeInput => ({
    ...judgeInput([], shuffles),
    treatments: TREATMENTS.slice(0, 3),
    subsamples: pots,
    units: Array.from({ length: pots }, (_, i) => ({
      id: String(i),
      treatment: TREATMENTS[i % 3] ?? '',
      blocks: [`b${Math.floor(i / 3) % 30}`],
      value: 100 + (i % 3) + ((17 * i) % 23),
    })),
  });
  for (const shuffles of [0, 1000]) {
    const taken = [12, 102, 1002, 10_002].map(
      pots =>
        `${pots} pots ${median(
          timesMs(3, () => {
            judge(inputOf(pots, shuffles));
          }),
        ).toFixed(0)} ms`,
    );
    console.log(
      `judged by means, ${shuffles.toLocaleString('en')} shuffles: ${taken.join(', ')} (median of 3)`,
    );
  }
}

function benchCurves(): void {
  for (const curve of CURVES) {
    const taken = [10, 100, 1000, 10_000].map(points => {
      const made = Array.from({ length: points }, (_, i) => {
        const x = (10 * i) / points;
        return { x, y: 100 / (1 + Math.exp((5 - x) / 1.3)) + ((13 * i) % 7) / 10 };
      });
      return `${points} points ${median(
        timesMs(3, () => {
          fitCurve(made, curve);
        }),
      ).toFixed(0)} ms`;
    });
    console.log(`curve, ${curve}: ${taken.join(', ')} (median of 3)`);
  }
}

/** The verdict page of the demo's largest trial in Chromium: until it can be used, and until all twelve measures are shuffled beside it. */
async function benchVerdictPage(): Promise<void> {
  if (!existsSync('.next/BUILD_ID')) return;
  const folder = mkdtempSync(join(tmpdir(), 'turnspit-bench-'));
  process.env.TURNSPIT_DATA = join(folder, 'bench.sqlite');
  await startStore();
  const season = demoSeason(today());
  await keepSeason(season.garden, season.trials, season.shelf);
  await closeStore();
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
    args: ['--no-sandbox', '--disable-gpu'],
  });
  await withServer(async origin => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const trial = season.trials[0];
    if (!trial) throw new Error('the demo must have a trial');
    const readyAt = (): Promise<number> =>
      page.evaluate(() => performance.getEntriesByName('ready')[0]?.startTime ?? Number.NaN); // since the request
    const times: {
      readonly plain: number;
      readonly ready: number;
      readonly whole: number;
      readonly through: number;
    }[] = [];
    for (let run = 0; run < 15; run++) {
      await page.goto(`${origin}/trials`);
      await page.waitForSelector('html[data-ready]');
      const plain = await readyAt();
      await page.waitForTimeout(500); // the next page is asked for by a browser at rest, as a gardener would
      const start = performance.now();
      await page.goto(`${origin}/trials/${trial.trial.id}/judge`, { waitUntil: 'commit' });
      await page.getByText('Analysis of variance', { exact: true }).waitFor(); // the last part of the page
      const whole = performance.now() - start;
      await page.getByText(/^Luck: how often/).waitFor();
      const through = performance.now() - start;
      times.push({ plain, ready: await readyAt(), whole, through });
      await page.waitForTimeout(500);
    }
    const of = (which: keyof (typeof times)[number]): string =>
      median(times.slice(4).map(each => each[which])).toFixed(0);
    console.log(
      `verdict page of ${trial.units.length} pots and ${trial.measures.length} measures in the browser: the verdict takes input after ${of('ready')} ms (the list of trials in the same run after ${of('plain')}), all parts are there after ${of('whole')}, 20,000 shuffles of each measure through after ${of('through')} (median of 11, after 4 first visits)`,
    );
  });
  await browser.close();
  rmSync(folder, { recursive: true, force: true });
}

/** The planner: the verdict rule on made-up trials, and the curve over all sizes as the page asks for it. */
function benchPlanner(): void {
  const plan = {
    request: {
      ...BLANK_LAYOUT,
      kind: 'complete-blocks',
      each: 1,
      blockCount: 6,
      blockWord: 'shelf',
    },
    treatments: trialFixture({ treatments: 8 }).treatments,
    unitWord: 'pot',
    response: 'beans',
    better: 'higher',
    margin: { kind: 'percent', percent: 15 },
    reading: { outcome: 'continuous' },
  } as const;
  const truth = { cv: 0.3, level: 1, effect: 0.3 };
  const trials = timesMs(5, () =>
    simulateVerdicts(plannedInput(plan, 1), plan.reading, truth, 3)?.run(10_000),
  );
  console.log(
    `planner, 8 treatments, 6 blocks, 10,000 simulated trials: median ${median(trials).toFixed(0)} ms of 5`,
  );
  const sizes = sizesFor(plan);
  const question = { plan, truth, sizes, own: 6, seed: 1 };
  const first = timesMs(5, () => sizeCurve(question).advance(sizes.indexOf(6), 100));
  const all = timesMs(5, () => {
    const growing = sizeCurve(question);
    for (const at of sizes.keys()) growing.advance(at, 100);
  });
  console.log(
    `planner, the plan's own size, 100 trials: median ${median(first).toFixed(0)} ms of 5; all ${sizes.length} sizes: ${median(all).toFixed(0)} ms`,
  );
}

/** 20 trials of 32 pots, each picked on 32 days: 20,480 picks. */
async function fillGarden(): Promise<readonly string[]> {
  const dice = seasonDice(1, Date.parse('2026-01-01T00:00:00Z'));
  const garden = {
    id: GardenId.parse(dice.newId()),
    name: 'Bench garden',
    system: 'uk',
    latitude: 51,
    altitudeM: 50,
    lastFrost: null,
    firstFrost: null,
    timeZone: '',
  } as const;
  const days = Array.from({ length: 32 }, (_, i) => ({ day: 60 + i, share: 1 / 32 }));
  const trials = Array.from({ length: 20 }, (_, i) => {
    const script: DemoScript = {
      question: `Question ${i + 1}?`,
      act: 'feed',
      crop: 'beans',
      picked: 'beans',
      unitWord: 'pot',
      factors: [{ name: 'feed', levels: ['none', 'fed', 'twice', 'tea'], dealtAt: 'pot' }],
      treatments: ['none', 'fed', 'twice', 'tea'].map((feed, at) => ({
        name: feed,
        levels: { feed },
        effect: at * 0.1,
      })),
      bench: { unitsEach: 8, blockCount: 4, blockWord: 'shelf', unitWidthMm: 240, seed: i },
      startsOn: addDays('2026-03-01', i),
      lengthDays: 100,
      isBlind: false,
      marginPercent: 15,
      harvestG: 500,
      cv: 0.2,
      pieceG: 6,
      pickDays: days,
    };
    return demoTrial(script, garden.id, dice);
  });
  await keepSeason(garden, trials);
  return trials.map(data => data.trial.id);
}

/** Starts a production server on the bench's data file and asks for each page 15 times. */
async function timePages(paths: readonly string[], words: (path: string) => string): Promise<void> {
  await withServer(async origin => {
    for (const path of paths) {
      const times: number[] = [];
      for (let run = 0; run < 15; run++) {
        const start = performance.now();
        await (await fetch(origin + path)).text();
        times.push(performance.now() - start);
      }
      console.log(
        `${words(path)}: median ${median(times).toFixed(0)} ms of 15 (first ${times[0]?.toFixed(0)} ms)`,
      );
    }
  });
}

/** Does something with a production server on the bench's data file. */
async function withServer(work: (origin: string) => Promise<void>): Promise<void> {
  const server = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', '4399'],
    { stdio: 'ignore', env: process.env },
  );
  const ended = new Promise(resolve => server.once('exit', resolve));
  const origin = 'http://127.0.0.1:4399';
  try {
    while (
      !(await fetch(origin).then(
        answer => answer.ok,
        () => false,
      ))
    ) {
      if (server.exitCode !== null)
        throw new Error('the server did not start: does another one stand on its port?');
      await new Promise(resolve => setTimeout(resolve, 100));
    }
    if (server.exitCode !== null) throw new Error('another server answers on the bench’s port');
    await work(origin);
  } finally {
    server.kill();
    await ended;
  }
}

/** 50 running trials of 16 pots, each with four daily rules over 100 days: 20,000 steps, done up to yesterday. */
function tendedTrials(): readonly TrialData[] {
  const dice = seasonDice(2, Date.parse('2026-01-01T00:00:00Z'));
  const gardenId = GardenId.parse(dice.newId());
  const product = productFixture();
  return Array.from({ length: 50 }, (_, i) => {
    const script: DemoScript = {
      question: `Tended ${i + 1}?`,
      act: 'feed',
      crop: 'beans',
      picked: 'beans',
      unitWord: 'pot',
      factors: [{ name: 'feed', levels: ['none', 'fed', 'twice', 'tea'], dealtAt: 'pot' }],
      treatments: ['none', 'fed', 'twice', 'tea'].map(feed => ({
        name: feed,
        levels: { feed },
        effect: 0,
      })),
      bench: { unitsEach: 4, blockCount: 4, blockWord: 'shelf', unitWidthMm: 240, seed: i },
      startsOn: addDays(today(), -99),
      lengthDays: 99,
      isBlind: false,
      marginPercent: 15,
      harvestG: 500,
      cv: 0.2,
      pieceG: 6,
      pickDays: [],
    };
    const data = demoTrial(script, gardenId, dice);
    const rules = data.treatments.map(treatment =>
      careRuleFixture({
        name: `${treatment.name} daily`,
        treatmentIds: [treatment.id],
        repeat: { kind: 'every', days: 1 },
        material: {
          productId: product.id,
          rate: rateFixture(20, 20),
          choice: 'high',
          strength: 1,
          waterMl: 500,
          batchId: null,
        },
      }),
    );
    const acts = rules.flatMap(rule =>
      Array.from({ length: 99 }, (_, nth) =>
        careActFixture(rule, nth, addDays(data.trial.startsOn, nth)),
      ),
    );
    return { ...data, care: { ...data.care, rules, acts }, products: [product] };
  });
}

function benchToday(trials: readonly TrialData[]): void {
  const cared = trials.map(data => ({
    trial: data.trial,
    care: data.care,
    done: doneTasks(data.care.acts),
    treatments: data.treatments,
    units: data.units,
    unit: unitMeasuresOf(
      data.places.find(place => place.id === data.units[0]?.placeId),
      null,
    ),
  }));
  const steps = trials.reduce((sum, each) => sum + careTasks(each, today()).length, 0);
  const times = timesMs(9, () => dueToday(cared, trials[0]?.products ?? [], today()));
  console.log(
    `today, 50 trials, ${steps.toLocaleString('en')} steps: what is due, median ${median(times).toFixed(0)} ms of 9`,
  );
}

async function benchTodayPage(trials: readonly TrialData[]): Promise<void> {
  if (!existsSync('.next/BUILD_ID')) return;
  const folder = mkdtempSync(join(tmpdir(), 'turnspit-bench-'));
  process.env.TURNSPIT_DATA = join(folder, 'bench.sqlite');
  await startStore();
  await keepSeason(
    {
      id: trials[0]!.trial.gardenId,
      name: 'Bench garden',
      system: 'uk',
      latitude: 51,
      altitudeM: 50,
      lastFrost: null,
      firstFrost: null,
      timeZone: '',
    },
    trials,
  );
  const times: number[] = [];
  for (let run = 0; run < 9; run++) {
    const start = performance.now();
    await listDue();
    times.push(performance.now() - start);
  }
  console.log(`today, the same from the database: median ${median(times).toFixed(0)} ms of 9`);
  await closeStore();
  await timePages(['/'], path => `page ${path}, 50 trials, 20,000 steps`);
  rmSync(folder, { recursive: true, force: true });
}

async function benchPages(): Promise<void> {
  if (!existsSync('.next/BUILD_ID'))
    return console.log('pages: no production build; run npm run build first');
  const folder = mkdtempSync(join(tmpdir(), 'turnspit-bench-'));
  process.env.TURNSPIT_DATA = join(folder, 'bench.sqlite');
  await startStore();
  const [trialId = ''] = await fillGarden();
  await closeStore();
  await timePages(
    ['/', '/trials', `/trials/${trialId}/weigh`, `/trials/${trialId}/judge`],
    path => `page ${path.replace(trialId, '…')}, 20 trials, 20,480 picks`,
  );
  rmSync(folder, { recursive: true, force: true });
}

/** A file of a million readings in 50 trials: how soon one more is stored, a walk opens, and 100,000 from a file are in. */
async function benchReadings(): Promise<void> {
  if (!existsSync('.next/BUILD_ID')) return;
  const folder = mkdtempSync(join(tmpdir(), 'turnspit-bench-'));
  process.env.TURNSPIT_DATA = join(folder, 'bench.sqlite');
  await startStore();
  const trials = tendedTrials().map(data => ({ ...data, care: NO_CARE, products: [] }));
  await keepSeason(
    {
      id: trials[0]!.trial.gardenId,
      name: 'Bench garden',
      system: 'uk',
      latitude: 51,
      altitudeM: 50,
      lastFrost: null,
      firstFrost: null,
      timeZone: '',
    },
    trials,
  );
  const measures: Measure[] = [];
  for (const { trial } of trials) {
    const added = await addMeasureToTrial(trial.id, { from: 'library', key: 'height' });
    if (added.ok) measures.push(added.value);
  }
  await closeStore();
  fillReadings(process.env.TURNSPIT_DATA, trials, measures);
  await startStore();
  const [first] = trials;
  const measure: Measure = measures[0]!;
  const times: number[] = [];
  for (let run = 0; run < 100; run++) {
    const entry = {
      id: v7(),
      unitId: first!.units[run % 16]!.id,
      measureId: measure.id,
      subsample: `again ${run}`,
      takenOn: today(),
      value: '213',
    };
    const start = performance.now();
    await takeReadings(first!.trial.id, [entry]);
    times.push(performance.now() - start);
  }
  console.log(
    `one reading into 1,000,000: median ${median(times).toFixed(1)} ms of 100, slowest ${Math.max(...times).toFixed(1)} ms`,
  );
  const rows = Array.from(
    { length: 100_000 },
    (_, i) =>
      `${trials[1]!.units[i % 16]!.code},${addDays(trials[1]!.trial.startsOn, Math.floor(i / 16) % 90)},p${Math.floor(i / 1440)},${100 + (i % 900)}`,
  );
  const form = (csv: string) => ({
    csv,
    day: today(),
    roles: [
      { kind: 'unit' },
      { kind: 'day' },
      { kind: 'part' },
      { kind: 'measure', measureId: measures[1]!.id, unit: 'mm' },
    ],
  });
  await closeStore();
  await timePages(
    [`/trials/${first!.trial.id}/walk`],
    () => 'page of a walk, 1,000,000 readings in the file',
  );
  await timeImports(trials[1]!.trial.id, [
    form(['pot,date,part,height', ...rows.slice(1), 'ZZ9,,,1'].join('\n')),
    form(['pot,date,part,height', ...rows].join('\n')),
  ]);
  rmSync(folder, { recursive: true, force: true });
}

/** Files as a browser sends them, to a production server; the last line of each answer says what became of it. */
async function timeImports(trialId: string, forms: readonly unknown[]): Promise<void> {
  await withServer(async origin => {
    for (const form of forms) {
      const start = performance.now();
      const answer = await (
        await fetch(`${origin}/api/import/${trialId}`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(form),
        })
      ).text();
      console.log(
        `100,000 readings from a file, to the server: ${((performance.now() - start) / 1000).toFixed(1)} s, ${answer.trim().split('\n').length} lines, the last ${answer.trim().split('\n').at(-1)?.slice(0, 110)}`,
      );
    }
  });
}

/** Straight into the table: the way of single entries is timed apart. */
function fillReadings(
  filename: string,
  trials: readonly TrialData[],
  measures: readonly Measure[],
): void {
  const db = new Sqlite(filename);
  const put = db.prepare(
    "INSERT INTO readings (id, trial_id, unit_id, measure_id, subsample, taken_on, taken_at, outcome, note, value, supersedes, is_removal) VALUES (?, ?, ?, ?, ?, ?, ?, 'picked', '', ?, NULL, 0)",
  );
  db.transaction(() => {
    trials.forEach(({ trial, units }, t) => {
      for (let i = 0; i < 20_000; i++) {
        const day = addDays(trial.startsOn, Math.floor(i / 16) % 99);
        put.run(
          v7(),
          trial.id,
          units[i % 16]!.id,
          measures[t]!.id,
          String(Math.floor(i / 1584)),
          day,
          `${day}T08:00:00.000Z`,
          100 + (i % 500),
        );
      }
    });
  })();
  db.close();
}

const BENCHES: Readonly<Record<string, () => unknown>> = {
  judge: benchJudge,
  means: benchMeans,
  kinds: benchKinds,
  curves: benchCurves,
  planner: benchPlanner,
  today: async () => {
    const tended = tendedTrials();
    benchToday(tended);
    await benchTodayPage(tended);
  },
  verdict: benchVerdictPage,
  pages: benchPages,
  readings: benchReadings,
  gardens: benchGardens,
};
const wanted = process.argv.slice(2);
for (const name of wanted.length > 0 ? wanted : Object.keys(BENCHES)) await BENCHES[name]?.();
