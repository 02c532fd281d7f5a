import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_LAYOUT } from '@/core/trial/model/blank-facts';
import { assumedOf, guessedForm } from './size-assumptions';

const plan = {
  request: {
    ...BLANK_LAYOUT,
    kind: 'complete-randomisation',
    each: 4,
    blockCount: 0,
    blockWord: '',
  },
  treatments: trialFixture({ treatments: 2 }).treatments,
  unitWord: 'pot',
  response: 'seeds',
  better: 'higher',
  margin: { kind: 'absolute', amount: 0.15 },
  reading: { outcome: 'proportion', outOf: 10 },
} as const;

test('shares are typed of 100 and reckoned of 1; how many are looked at goes into the plan', () => {
  const form = guessedForm(plan, null);
  expect(form).toEqual({ spread: '30', level: '60', items: '10' });
  const assumed = assumedOf(plan, { ...form, level: '40', items: '25' });
  expect(assumed.truth).toEqual({ cv: 0.3, level: 0.4, effect: 0.15 });
  expect(assumed.plan?.reading).toEqual({ outcome: 'proportion', outOf: 25 });
});

test('the gardener’s own spread is taken for what is weighed, and for nothing else', () => {
  const own = { cv: 0.22 };
  expect(guessedForm(plan, own).spread).toBe('30');
  expect(guessedForm({ ...plan, reading: { outcome: 'continuous' } }, own).spread).toBe('22');
});

test.each([
  [{ spread: '0' }, 'spread', 'Between 1 and 200.'],
  [{ level: '' }, 'level', 'Between 1 and 99.'],
  [{ items: '2.5' }, 'items', 'A whole number from 1 to 200.'],
])('%j is told beside its field, and nothing is reckoned', (changes, key, says) => {
  const assumed = assumedOf(plan, { ...guessedForm(plan, null), ...changes });
  expect(assumed.troubles).toEqual({ [key]: says });
  expect([assumed.plan, assumed.truth]).toEqual([null, undefined]);
});

test('a decimal comma is a decimal point', () => {
  const reading = { outcome: 'ordinal', lowest: 1, highest: 5 } as const;
  const steps = { ...plan, reading, margin: null };
  expect(assumedOf(steps, { spread: '1,5', level: '2,5', items: '1' }).truth).toEqual({
    cv: 1.5,
    level: 2.5,
    effect: 1,
  });
});
