import { judge } from '@/core/judge/outcomes/judge';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import {
  type Analysis,
  type AnalysisSpec,
  analyse,
  plannedSpec,
} from '@/core/judge/units/trial-analysis';
import { valuePrinter } from '@/core/measure/library/print-measure';
import { emptyPickFixture, pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { demoSeason } from '@/demo/demo-season';
import { tagsOf } from '@/features/bench/bench-view';
import { differencesOf } from '@/features/judge/answer/differences';
import { dotRowsOf } from '@/features/judge/answer/dot-rows';
import { workingOf } from '@/features/judge/answer/working';
import { brokenRounds } from '@/features/judge/details/broken-rounds';
import { logByDay } from '@/features/judge/details/Tables';
import { callCounts } from './call-words';
import { printFigure, printP } from './print-value';

const beans = demoSeason('2026-11-25').trials[0];
if (!beans) throw new Error('the demo must have beans');
const planned = plannedSpec(beans, STARTING_GUESS_CV);
const lookedWith = (changes: Partial<AnalysisSpec> = {}): Analysis =>
  analyse(beans, { ...planned, ...changes }, judge);
const analysis = lookedWith();

describe('the dots', () => {
  const dots = dotRowsOf(analysis, tagsOf(beans), String);

  test('are in percent of the control, the control last, every measured pot once', () => {
    expect(dots).toMatchObject({ axis: 'percent', control: 100, band: [85, 115] });
    expect(dots.rows.at(-1)?.tag.index).toBe(-1);
    expect(dots.rows.flatMap(row => row.points.map(point => point.code)).sort()).toEqual(
      analysis.input.units
        .filter(unit => !unit.isLeftOut)
        .map(unit => unit.id)
        .sort(),
    );
  });

  test('stand about their estimate, which lies within its interval', () => {
    for (const row of dots.rows.filter(each => each.tag.index >= 0)) {
      expect(
        row.interval &&
          row.estimate !== null &&
          row.interval[0] < row.estimate &&
          row.estimate < row.interval[1],
      ).toBe(true);
    }
  });

  test('have no band without a margin', () => {
    expect(dotRowsOf(lookedWith({ margin: null }), tagsOf(beans), String).band).toBeNull();
  });
});

test('the working of every figure comes to the figure', () => {
  for (const contrast of analysis.judgement.contrasts) {
    if (!contrast.estimable) throw new Error('the beans can all be compared');
    const steps = workingOf(contrast, analysis.judgement, analysis.input);
    expect(steps.map(step => step.figure)).toEqual([
      'gap',
      'gap in %',
      'spread of units treated alike',
      'standard error of the gap',
      't',
      '95% interval',
      'shuffle p',
    ]);
    const said = Object.fromEntries(steps.map(step => [step.figure, step.numbers]));
    expect(said.gap).toContain(`= ${printFigure(contrast.difference)}`);
    expect(said['gap in %']).toContain(`= ${printFigure(contrast.percent ?? 0)}%`);
    expect(said.t).toContain(`= ${printFigure(contrast.t ?? 0)}`);
    const [, b, m] = /^\((\d+) \+ 1\) ÷ \((\d+) \+ 1\)/.exec(said['shuffle p'] ?? '') ?? [];
    expect((Number(b) + 1) / (Number(m) + 1)).toBeCloseTo(contrast.shufflePAdjusted ?? 9, 12);
  }
});

test('a look says what differs from the plan, and nothing where nothing does', () => {
  const print = (value: number): string => `${value} g`;
  const count = beans.measures.find(measure => measure.summary === 'sound-count');
  expect(differencesOf(planned, planned, beans.measures, print)).toEqual([]);
  expect(
    differencesOf(
      planned,
      {
        ...planned,
        margin: { kind: 'percent', percent: 20 },
        leftOut: ['TL3'],
        measureId: count?.id ?? '',
      },
      beans.measures,
      print,
    ),
  ).toEqual([
    'smallest difference worth having 20% instead of 15%',
    'Number of sound pieces, found along the way',
    'TL3 left out',
    'WT3 back in',
  ]);
});

test('left out for a look, a pot is out of the sums; with everything back in, it is in', () => {
  expect(lookedWith({ leftOut: [] })).toMatchObject({
    judgement: { design: { units: 32 } },
    allIn: null,
  });
  expect(analysis.judgement.design.units).toBe(31);
  expect(analysis.allIn?.design.units).toBe(32);
});

test('a round that was broken off is found, and the dead are not waited for', () => {
  const trial = trialFixture({ unitsEach: 2 });
  const [a, b, c, d] = trial.units;
  if (!a || !b || !c || !d) throw new Error('the fixture must have four units');
  const day = { pickedOn: '2026-07-08' };
  const first = [pickFixture(a), pickFixture(b), pickFixture(c), emptyPickFixture(d, 'dead')];
  expect(
    brokenRounds({ ...trial, picks: [...first, pickFixture(a, day), pickFixture(b, day)] }),
  ).toEqual([{ day: '2026-07-08', done: 2, of: 4 }]);
  expect(
    brokenRounds({
      ...trial,
      picks: [
        ...first,
        pickFixture(a, day),
        pickFixture(b, day),
        emptyPickFixture(c, 'not-looked', day),
      ],
    }),
  ).toEqual([]);
});

test.each([
  [['cant-tell', 'better', 'cant-tell'], '1 better, 2 can’t tell'],
  [['no-test'], '1 no test'],
  [[], ''],
])('calls %j in short: %s', (calls, words) => {
  expect(callCounts(calls)).toBe(words);
});

test('the log is told by day, each kind of act once with its count', () => {
  const line = (at: string, what: string) => ({ at: `${at}T09:00:00.000Z`, what });
  expect(
    logByDay([
      line('2026-07-02', 'closed'),
      line('2026-07-01', 'pick'),
      line('2026-07-01', 'plan locked'),
      line('2026-07-01', 'pick'),
    ]),
  ).toEqual(['2026-07-02: closed', '2026-07-01: 2 × pick, plan locked']);
});

test('figures are printed as one reads them', () => {
  const weight = beans.measures[0];
  const count = beans.measures[1];
  if (!weight || !count) throw new Error('the beans must have two measures');
  expect([
    valuePrinter(weight, 'metric')(1234),
    valuePrinter(weight, 'pounds-and-ounces')(500),
    valuePrinter(count, 'metric')(-31.44),
  ]).toEqual(['1.234 kg', '1 lb 1.6 oz', '−31.4']);
  expect([printP(0.00004), printP(0.0409), printP(null), printFigure(-12.34567)]).toEqual([
    'below 0.001',
    '0.041',
    '—',
    '−12.35',
  ]);
});
