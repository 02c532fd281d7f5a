import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import type { TrialSummary } from '@/core/trial/trial-summary';
import { isFound, type TrialSearch } from './trial-search';

const { trial } = trialFixture();
const summary: TrialSummary = {
  trial: { ...trial, state: 'closed', question: 'Bringt Jauche mehr Möhren?', crop: 'carrots' },
  units: 6,
  unitsRead: 6,
  lastDay: null,
  headline: 'Can’t tell yet: plain water may do as well.',
  isUnsettled: true,
  isPutAway: false,
  isWeighed: true,
};
const finds = (words: string, show: TrialSearch['show'] = 'all'): boolean =>
  isFound(summary, { words, show });

test('a trial is found by any of its words in any order, whatever case, accents and apostrophes', () => {
  for (const words of ['', '  ', 'MOHREN', 'carrots 2026', "can't tell", 'jauche water'])
    expect([words, finds(words)]).toEqual([words, true]);
  for (const words of ['beans', 'carrots 2031'])
    expect([words, finds(words)]).toEqual([words, false]);
});

test('what could not tell is found as such; it is not among those that run', () => {
  expect(finds('', 'unsettled')).toBe(true);
  expect(finds('', 'closed')).toBe(true);
  expect(finds('', 'running')).toBe(false);
  expect(isFound({ ...summary, isUnsettled: false }, { words: '', show: 'unsettled' })).toBe(false);
});
