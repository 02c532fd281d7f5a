import { trialFixture } from '@/core/trial/trial-fixture';
import { emptyQuestion, isQuestionDraft, questionFormOf } from './question-draft';
import { testableQuestion } from './testable-question';

const form = { ...emptyQuestion('2026-05-01'), crop: 'dwarf beans', picked: 'beans', treatments: [{ name: 'plain water' }, { name: 'seaweed' }, { name: 'tea' }], endsOn: '2026-08-03' };

test('a wish becomes one sentence that pots can answer', () => {
  expect(testableQuestion(form)).toBe('Does seaweed or tea, instead of plain water, give at least 15% more beans from dwarf beans by 3 August 2026?');
  expect(testableQuestion({ ...form, control: 2, marginKind: 'any', better: 'lower', summary: 'mean-piece-weight' })).toBe('Does plain water or seaweed, instead of tea, give less weight a piece from dwarf beans by 3 August 2026?');
});

test('what is still missing stays a gap', () => {
  expect(testableQuestion({ ...form, crop: ' ', treatments: [{ name: '' }, { name: 'tea' }], endsOn: '' })).toBe('Does tea, instead of …, give at least 15% more beans from … by …?');
});

test('a trial’s question goes back into its form', () => {
  const data = trialFixture({ treatments: 3 });
  expect(questionFormOf(data)).toMatchObject({ question: 'Does a feed help?', picked: 'beans', control: 0, summary: 'sound-weight', marginKind: 'percent', margin: '15', treatments: [{ name: 'plain water' }, { name: 'feed 1' }, { name: 'feed 2' }] });
});

test('a stored draft of another shape is dropped', () => {
  expect(isQuestionDraft(JSON.parse(JSON.stringify(form)))).toBe(true);
  for (const stored of [null, 'x', [], { ...form, treatments: 'x' }, { ...form, treatments: [null] }, { ...form, summary: 'colour' }, { ...form, control: '0' }]) expect(isQuestionDraft(stored)).toBe(false);
});
