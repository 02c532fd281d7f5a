import type { JudgedUnit } from '@/core/design/linear/design-input';
import { judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { normalDraw } from '@/core/stats/distributions/normal-draw';
import { seededRandom } from '@/core/stats/distributions/seeded-random';

/** Two treatments, each so often in every garden; what the feed does there is given garden by garden. */
function inGardens(
  effects: readonly number[],
  { each = 3, seed = 1, word = 'garden', sd = 2 } = {},
) {
  const random = seededRandom(seed);
  const units = effects.flatMap((effect, garden) =>
    ['none', 'fed'].flatMap(treatment =>
      Array.from(
        { length: each },
        (_, i): JudgedUnit => ({
          id: `${garden} ${treatment} ${i}`,
          treatment,
          blocks: [String(garden)],
          value: 100 + 5 * garden + (treatment === 'fed' ? effect : 0) + sd * normalDraw(random),
        }),
      ),
    ),
  );
  return judgeWithoutShuffle(judgeInputFixture(units, { blockNames: [word] }));
}

const codesOf = ({ warnings }: ReturnType<typeof inGardens>): readonly string[] =>
  warnings.map(warning => warning.code);

test('what works in some gardens and harms in others is told of none, however many pots there are', () => {
  const judged = inGardens([20, -14, 18, -16, 12, -12], { each: 8 });
  expect(judged.verdict.call).toBe('cant-tell');
  expect(codesOf(judged)).toEqual(expect.arrayContaining(['differs-by-block', 'these-gardens']));
});

test('what works in every garden is told', () => {
  const judged = inGardens([12, 14, 11, 13, 12, 15]);
  expect(judged.verdict.call).toBe('better');
  expect(judged.contrasts[0]?.estimable && judged.contrasts[0].reach?.df).toBe(5);
});

test('where the effect differs by garden and is nothing on average, hardly any trial is called', () => {
  const called = Array.from({ length: 200 }, (_, seed) => {
    const random = seededRandom(1000 + seed);
    const effects = Array.from({ length: 5 }, () => 10 * normalDraw(random));
    return inGardens(effects, { seed, each: 4 }).verdict.call !== 'cant-tell';
  }).filter(Boolean).length;
  // Five in 100, and two standard errors of 200 trials.
  expect(called / 200).toBeLessThan(0.05 + 2 * Math.sqrt((0.05 * 0.95) / 200));
});

test('two gardens tell of themselves only', () => {
  const { warnings } = inGardens([12, 13]);
  expect(warnings.find(warning => warning.code === 'these-gardens')?.message).toContain(
    'told of these only',
  );
});

test('shelves are no gardens, but a feed that does otherwise on each is said', () => {
  const judged = inGardens([20, -14, 18, -16], { each: 4, word: 'shelf' });
  expect(codesOf(judged)).toContain('differs-by-block');
  expect(codesOf(judged)).not.toContain('these-gardens');
});
