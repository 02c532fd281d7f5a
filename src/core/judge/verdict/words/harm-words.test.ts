import { judge } from '@/core/judge/outcomes/judge';
import type { AgreedComparison } from '@/core/judge/question/judge-input';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { sentenceCase } from '@/core/words/sentence-case';

const SPREAD = [1, 0, 2, -1, -2, 0];

/** Six pots of each treatment about these means, all with the same spread. The first is the control. */
function verdictOf(means: Readonly<Record<string, number>>, pots = SPREAD) {
  const treatments = Object.keys(means);
  return judge({
    outcome: 'continuous',
    response: 'beans',
    responseUnit: 'g',
    unitWord: 'pot',
    treatmentName: 'compost',
    treatments,
    control: treatments[0] ?? '',
    blockNames: [],
    units: treatments.flatMap(treatment =>
      pots.map((extra, i) => ({
        id: `${treatment}${i}`,
        treatment,
        blocks: [],
        value: (means[treatment] ?? 0) + extra,
      })),
    ),
    subsamples: pots.length * treatments.length,
    better: 'higher',
    margin: { kind: 'percent', percent: 20 },
    confidence: 0.95,
    shuffles: 0,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
  }).verdict;
}

test('harm is said first, though another makes no difference', () => {
  const verdict = verdictOf({ 'plain heap': 100, bark: 101, peat: 66 });
  expect(verdict.headline).toBe('Peat did worse than plain heap: 34% less beans.');
  expect(verdict.call).toBe('clearly-worse');
  expect(verdict.detail).toContain('Bark: 1% more beans than plain heap');
});

test('harm is said first, though another can’t be told yet', () => {
  const noisy = [30, -30, 25, -25, 10, -10];
  const verdict = verdictOf({ 'plain heap': 100, bark: 112, peat: 5 }, noisy);
  expect(verdict.headline).toMatch(/^Peat did worse than plain heap: 95% less beans\.$/);
  expect(verdict.detail).toContain('Bark: can’t tell yet.');
});

test('harm stands in the headline of a winner, with its size in the detail', () => {
  const verdict = verdictOf({ 'plain heap': 100, seaweed: 131, peat: 50 });
  expect(verdict.headline).toBe('Seaweed gave 31% more beans than plain heap, but peat did worse.');
  expect(verdict.detail).toContain('Peat: 50% less beans than plain heap');
});

test('all of them harmful are all named', () => {
  expect(verdictOf({ 'plain heap': 100, bark: 60, peat: 50 })).toMatchObject({
    headline: 'Bark and peat did worse than plain heap.',
    best: 'plain heap',
  });
});

describe('counts', () => {
  const counts = {
    nothing: [2, 3, 2, 3, 2, 3],
    soap: [2, 2, 3, 3, 3, 2],
    beer: [9, 12, 10, 14, 11, 12],
  };
  const judged = (agreed?: AgreedComparison) =>
    judge(
      judgeInputFixture(
        Object.entries(counts).flatMap(([treatment, values]) =>
          values.map((value, i) => ({ id: `${treatment}${i}`, treatment, blocks: [], value })),
        ),
        { outcome: 'count', response: 'slugs', control: 'nothing', better: 'lower', agreed },
      ),
    ).verdict;

  test('say harm first, too', () => {
    const { headline, call } = judged();
    expect(headline).toBe('Beer did worse than “nothing”: 4.5 times as many slugs.');
    expect(call).toBe('worse');
  });

  test('give the headline to what was agreed on, with the harm of another', () => {
    const { headline, call } = judged({ one: ['soap'], other: ['beer'] });
    expect(headline).toBe('Soap gave 78% fewer slugs than beer. Beer did worse than “nothing”.');
    expect(call).toBe('better');
  });
});

test.each([
  ['seaweed gave more', 'Seaweed gave more'],
  ['pH 6 gave more', 'pH 6 gave more'],
  ['2 cm gave more', '2 cm gave more'],
])('a sentence begins with a capital: %s', (given, said) => {
  expect(sentenceCase(given)).toBe(said);
});
