import { readFileSync } from 'node:fs';
import papaparse from 'papaparse';
import { z } from 'zod';
import '../../../../reference/significant-digits';
import type { Margin } from '@/core/judge/question/judge-input';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { protocolOf } from '@/core/trial/shared/protocol';
import { gardensTogether } from './gardens-together';
import { sourcesOfResults } from './take-in-results';
import { resultsFixture, runPlan } from './ten-gardens-fixture';
import { togetherMeasure } from './together-measure';
import { comparisonSentences, togetherHeadline } from './together-words';

const Pooled = z.object({
  estimate: z.number(),
  se: z.number(),
  low: z.number(),
  high: z.number(),
  p: z.number(),
  tau2: z.number(),
});
const EXPECTED = z
  .object({
    each: z.array(z.object({ garden: z.string(), difference: z.number(), se: z.number() })),
    shares: Pooled,
    differences: Pooled,
  })
  .parse(JSON.parse(readFileSync('reference/results/garden-doses.json', 'utf8')));
const ROWS = papaparse.parse<Record<string, string>>(
  readFileSync('reference/data/garden-doses.csv', 'utf8'),
  { header: true, skipEmptyLines: true },
).data;
const DOSES = [0, 2, 4, 8];

/** A series of four depths, four boxes each, as one garden asks others to run it. */
function planOfDoses(margin: Margin) {
  const data = trialFixture({ treatments: 4, unitsEach: 4 });
  const treatments = data.treatments.map((treatment, i) => ({
    ...treatment,
    name: `${DOSES[i]} cm`,
    dose: DOSES[i] ?? null,
  }));
  const measures = data.measures.map(each => (each.isMain ? { ...each, margin } : each));
  const plan = protocolOf(
    { ...data, treatments, measures },
    { garden: 'Cinder Row', person: '', madeAt: '2026-03-01T08:00:00.000Z' },
  );
  if (!plan) throw new Error('the fixture is dealt');
  return plan;
}

function gardensOf(margin: Margin, gramsOf = gramsRead) {
  const plan = planOfDoses(margin);
  const names = [...new Set(ROWS.map(row => row.garden ?? ''))];
  const files = names.map((name, i) =>
    resultsFixture(
      runPlan(plan, i + 1, (treatment, nth) => gramsOf(name, Number.parseInt(treatment, 10), nth)),
      name,
    ),
  );
  const measure = togetherMeasure(plan.measures);
  const sources = files.flatMap(file => sourcesOfResults(plan, file));
  return { sources, measure, comparisons: gardensTogether(sources, measure) };
}

function gramsRead(garden: string, dose: number, nth: number): number | null {
  const row = ROWS.find(
    each => each.garden === garden && Number(each.dose) === dose && Number(each.pot) === nth,
  );
  return row?.g ? Number(row.g) : null;
}

test.each([
  ['shares of the smallest dose', { kind: 'percent', percent: 10 }, EXPECTED.shares],
  ['grams', { kind: 'absolute', amount: 200 }, EXPECTED.differences],
] as const)(
  'the line through a series of doses over gardens, in %s, as metafor has it',
  (_, margin, expected) => {
    const { sources, comparisons } = gardensOf(margin);
    const line = comparisons[0];
    expect(line).toMatchObject({ isLine: true, treatment: '8 cm', control: '0 cm' });
    // A garden that lost a whole dose tells no line through all, and still tells of the others.
    expect(line?.gardens.map(({ ids }) => sources.find(each => each.id === ids[0])?.name)).toEqual(
      EXPECTED.each.map(each => each.garden),
    );
    expect(comparisons.filter(each => !each.isLine).map(each => each.gardens.length)).toEqual([
      4, 5, 5,
    ]);
    const { together } = line ?? {};
    expect(together?.estimate).toAgree(expected.estimate, 6);
    expect(together?.se).toAgree(expected.se, 5);
    expect(together?.ci[0]).toAgree(expected.low, 5);
    expect(together?.ci[1]).toAgree(expected.high, 5);
    expect(together?.p).toAgree(expected.p, 5);
  },
);

test('a garden’s own line is the contrast of its least squares', () => {
  const { sources } = gardensOf({ kind: 'percent', percent: 10 });
  for (const expected of EXPECTED.each) {
    const own = sources.find(each => each.name === expected.garden)?.answer.gaps[0];
    expect(own?.difference).toAgree(expected.difference, 9);
    expect(own?.se).toAgree(expected.se, 9);
  }
});

test('more of it is answered before any single dose, and a line that says nothing leaves the doses to speak', () => {
  const rising = gardensOf(
    { kind: 'percent', percent: 10 },
    (_garden, dose, nth) => 1000 + 60 * dose + nth * 10,
  );
  expect(togetherHeadline(rising.comparisons)).toMatch(
    /^The more of it, the better, over 5 gardens\./,
  );
  const said = comparisonSentences(rising.comparisons[0]!, rising.measure, id => id).join(' ');
  expect(said).toContain('The more of it, the better, from 0 cm to 8 cm.');
  expect(said).toContain('Along a straight line through all, over 5 gardens: 47% more');
  // Best in the middle: the line is level.
  const humped = gardensOf(
    { kind: 'percent', percent: 10 },
    (_garden, dose, nth) => 1000 + (dose === 2 || dose === 4 ? 300 : 0) + nth * 10,
  );
  expect(togetherHeadline(humped.comparisons)).toBe(
    '2 cm and 4 cm did better than 0 cm, over 5 gardens.',
  );
});
