import { judge } from '@/core/judge/outcomes/judge';
import type { Verdict } from '@/core/judge/outcomes/judgement';
import { type JudgeInput, POINTS, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { percent } from './margin-words';
import { chanceGap } from './no-test-words';

/** Six pots of each treatment about these means, all with the same spread of 1, 0, 2, -1, -2, 0. */
function verdictOf(
  means: Readonly<Record<string, number>>,
  changes: Partial<JudgeInput> = {},
): Verdict {
  const spread = [1, 0, 2, -1, -2, 0];
  const treatments = Object.keys(means);
  return judge({
    outcome: 'continuous',
    response: 'beans',
    responseUnit: 'g',
    unitWord: 'pot',
    treatmentName: 'feed',
    treatments,
    control: treatments[0] ?? '',
    blockNames: [],
    units: treatments.flatMap(treatment =>
      spread.map((extra, i) => ({
        id: `${treatment}${i}`,
        treatment,
        blocks: [],
        value: (means[treatment] ?? 0) + extra,
      })),
    ),
    subsamples: 6 * treatments.length,
    better: 'higher',
    margin: { kind: 'percent', percent: 15 },
    confidence: 0.95,
    shuffles: 0,
    seed: 1,
    isDeclared: true,
    priorCv: STARTING_GUESS_CV,
    ...changes,
  }).verdict;
}

test('a clear winner is named, with its range and what was worth having', () => {
  const verdict = verdictOf({ water: 100, fed: 131 });
  expect(verdict).toMatchObject({
    call: 'clearly-better',
    best: 'fed',
    headline: 'Fed gave 31% more beans than water.',
  });
  expect(verdict.detail).toMatch(
    /^Between 29% and 33% more\. 15% was worth having: clearly better\.$/,
  );
});

// By hand: 131 g beside 100 g is 31 g more; the interval of two groups of six with a spread of √2 lies 1.8 g to either side.
test('where an amount was worth having, the gap and its range are told in that', () => {
  const verdict = verdictOf({ water: 100, fed: 131 }, { margin: { kind: 'absolute', amount: 20 } });
  expect(verdict.headline).toBe('Fed gave 31 g more beans than water.');
  expect(verdict.detail).toMatch(
    /^Between 29\.\d g and 32\.\d g more\. 20 g was worth having: clearly better\.$/,
  );
});

test('what is a percentage itself is told in points, never in percent of a percentage', () => {
  const cover = { response: 'weed cover', responseUnit: POINTS, better: 'lower' } as const;
  const verdict = verdictOf(
    { 'left alone': 60, flame: 40 },
    { ...cover, margin: { kind: 'absolute', amount: 10 } },
  );
  expect(verdict.headline).toBe('Flame gave 20 points less weed cover than left alone.');
  expect(verdict.detail).toMatch(
    /^Between 18\.\d and 21\.\d points less\. 10 points were worth having: clearly better\.$/,
  );
  const open = verdictOf({ 'left alone': 60, flame: 40 }, { ...cover, margin: null });
  expect(`${open.headline} ${open.detail}`).not.toContain('%');
});

test('a sure gain below the margin is said to be small', () => {
  const verdict = verdictOf({ water: 100, fed: 108 });
  expect(verdict.call).toBe('better');
  expect(verdict.detail).toContain('Better, but by less than the 15% worth having.');
});

test('two winners that can’t be told apart are both named, and no best', () => {
  const verdict = verdictOf({ water: 100, fed: 131, tea: 131.4 });
  expect(verdict).toMatchObject({
    best: null,
    mayHoldTheBest: ['fed', 'tea'],
    headline: 'Fed and tea beat water; which is best can’t be told yet.',
  });
});

test('the better of two winners is named where the pots tell them apart', () => {
  expect(verdictOf({ water: 100, fed: 131, tea: 145 })).toMatchObject({
    best: 'tea',
    headline: 'Tea did best: 45% more beans than water.',
  });
});

test('no difference that matters says what is ruled out', () => {
  const verdict = verdictOf({ water: 100, fed: 100.4 });
  expect(verdict).toMatchObject({
    call: 'no-difference-that-matters',
    best: null,
    headline: 'No difference that matters from water.',
    unitsNeeded: null,
  });
  expect(verdict.detail).toContain('15% was worth having, and as much is ruled out.');
});

test('can’t tell yet comes with the pots that would settle it', () => {
  const verdict = verdictOf({ water: 10, fed: 11 });
  expect(verdict).toMatchObject({
    call: 'cant-tell',
    best: null,
    headline: 'Can’t tell yet whether fed beats water.',
  });
  expect(verdict.detail).toContain(`About ${verdict.unitsNeeded} pots of each would settle it.`);
  expect(verdict.unitsNeeded).toBeGreaterThan(6);
});

test('what does worse leaves the control best', () => {
  expect(verdictOf({ water: 100, salt: 60, brine: 50 })).toMatchObject({
    call: 'clearly-worse',
    best: 'water',
    headline: 'Salt and brine did worse than water.',
  });
});

test('where less is better, less is what the winner gave', () => {
  expect(
    verdictOf(
      { bare: 100, netted: 60 },
      { better: 'lower', response: 'holes', responseUnit: undefined },
    ),
  ).toMatchObject({
    call: 'clearly-better',
    best: 'netted',
    headline: 'Netted gave 40% less holes than bare.',
  });
});

test('a control at zero has no percentage: the gap is in the measure’s own unit', () => {
  expect(
    verdictOf({ water: 0, fed: 30 }, { margin: { kind: 'absolute', amount: 5 } }).headline,
  ).toBe('Fed gave 30 g more beans than water.');
});

test('a control so near zero that a percentage has no ends is compared in the measure’s own unit', () => {
  const verdict = verdictOf({ water: 0.5, fed: 30 }, { margin: null });
  expect(verdict.headline).toBe('Fed gave 29.5 g more beans than water.');
  expect(verdict.detail).not.toContain('%');
});

test('the gap that luck exceeds every second time is 0.954 of the spread', () => {
  expect(chanceGap(0.3)).toBeCloseTo(0.286, 3);
});

test.each([
  [9.9, '9.9%'],
  [9.96, '10%'],
  [12.4, '12%'],
  [0.04, '0%'],
  [5, '5%'],
])('%d is said as %s', (value, said) => {
  expect(percent(value)).toBe(said);
});
