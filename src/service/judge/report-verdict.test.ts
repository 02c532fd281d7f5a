import type { JudgedUnit } from '@/core/design/linear/design-input';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { type Outcome, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { judgeInputOf, plannedSpec } from '@/core/judge/units/trial-analysis';
import { leaveOutFixture, pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { verdictOfReport } from './report-verdict';

const print = (value: number): string => `${Math.round(value)} g`;

test('of means the report tells every gap with its interval, and each unit as it was judged', () => {
  const trial = trialFixture({ treatments: 2, unitsEach: 4, blockCount: 4 });
  const data = {
    ...trial,
    picks: trial.units.slice(0, -1).map((unit, i) =>
      pickFixture(unit, {
        netG: 100 + 50 * Number(unit.treatmentId === trial.treatments[1]?.id) + i,
      }),
    ),
    incidents: [leaveOutFixture(trial.units[0]!)],
  };
  const input = judgeInputOf(data, plannedSpec(data, STARTING_GUESS_CV));
  const found = verdictOfReport({ input, judgement: judgeWithoutShuffle(input) }, print);
  expect(found.calls.heads).toEqual([
    'treatment',
    'pots',
    'mean',
    'gap',
    '95% interval, all together',
    'p, all together',
    'Result',
  ]);
  expect(found.calls.rows.map(row => row[0])).toEqual(['feed 1', 'plain water']);
  expect(found.calls.rows[0]?.[3]).toMatch(/^\+\d+\.\d%$/);
  expect(found.calls.rows[1]?.at(-1)).toBe('the control');
  expect(found.dots.map(row => row.treatment)).toEqual(['plain water', 'feed 1']);
  expect(found.dots.reduce((sum, row) => sum + row.values.length, 0)).toBe(6);
  expect(found.judged.heads.slice(0, 3)).toEqual(['code', 'treatment', 'shelf']);
  const words = found.judged.rows.map(row => row.at(-1));
  expect(words.filter(word => word === 'left out')).toHaveLength(1);
  expect(words.filter(word => word === 'no reading')).toHaveLength(1);
});

const unit = (
  id: number,
  treatment: string,
  value: number | null,
  changes: Partial<JudgedUnit> = {},
): JudgedUnit => ({ id: String(id), treatment, blocks: [], value, ...changes });
const ofOutcome = (outcome: Outcome, units: readonly JudgedUnit[]) => {
  const input = judgeInputFixture(units, {
    outcome,
    response: 'leaves with holes',
    treatments: ['plain', 'soap', 'oil'],
    control: 'plain',
    better: 'lower',
  });
  return verdictOfReport({ input, judgement: judgeWithoutShuffle(input) }, print);
};

test('of shares it tells k of n, in percent on the picture, and what can’t be compared', () => {
  const found = ofOutcome(
    'proportion',
    [15, 16, 14, 17].flatMap((k, i) => [
      unit(i, 'plain', k, { outOf: 20 }),
      unit(10 + i, 'soap', k - 12, { outOf: 20 }),
    ]),
  );
  expect(found.printValue(0.25)).toBe('25%');
  expect(found.dots.map(row => [row.treatment, row.values.length, row.mean])).toEqual([
    ['plain', 4, null],
    ['soap', 4, null],
    ['oil', 0, null],
  ]);
  const rowOf = (name: string) => found.calls.rows.find(row => row[0] === name) ?? [];
  expect(rowOf('plain').at(-1)).toBe('the control');
  expect(rowOf('soap')).toEqual([
    'soap',
    '4',
    '14 of 80 (18%)',
    '−60 points',
    expect.stringMatching(/^−\d+ points to −\d+ points$/),
    expect.stringMatching(/^(0\.0\d\d|< 0\.001)$/),
    'better',
  ]);
  expect(rowOf('oil').slice(-1)).toEqual(['can’t be compared']);
  expect(found.judged.rows[0]).toEqual(['0', 'plain', '15 of 20']);
});

test('of days it tells who still waited, and who was not read', () => {
  const found = ofOutcome('time', [
    ...[5, 7, 6, 8].map((days, i) => unit(i, 'plain', days, { hasCome: true })),
    ...[20, 20, 20].map((days, i) => unit(10 + i, 'soap', days)),
    unit(13, 'soap', null),
  ]);
  const words = found.judged.rows.map(row => row.at(-1));
  expect(words).toEqual([
    '5',
    '7',
    '6',
    '8',
    'not yet after 20 days',
    'not yet after 20 days',
    'not yet after 20 days',
    'no reading',
  ]);
  expect(found.warnings).toContain('1 pot gave no reading and is not in the sums.');
});
