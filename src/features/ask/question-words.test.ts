import { v7 } from 'uuid';
import { readQuestion } from '@/core/design/question/question-form';
import { QUESTION_PATTERNS } from '@/core/design/question/question-patterns';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { emptyQuestion, questionFormOf, readQuestionDraft } from './question-draft';
import { testableQuestion } from './testable-question';

const treatment = (name: string): QuestionForm['treatments'][number] => ({
  name,
  detail: '',
  controlKind: '',
});
const form: QuestionForm = {
  ...emptyQuestion('2026-05-01'),
  crop: 'dwarf beans',
  picked: 'beans',
  treatments: ['plain water', 'seaweed', 'tea'].map(treatment),
  endsOn: '2026-08-03',
};

test('a wish becomes one sentence that pots can answer', () => {
  expect(testableQuestion(form)).toBe(
    'Does seaweed or tea, instead of plain water, give at least 15% more beans from dwarf beans by 3 August 2026?',
  );
  expect(
    testableQuestion({
      ...form,
      control: 2,
      marginKind: 'any',
      better: 'lower',
      summary: 'mean-piece-weight',
    }),
  ).toBe(
    'Does plain water or seaweed, instead of tea, give less weight a piece from dwarf beans by 3 August 2026?',
  );
});

test('a question about what is read says which way it is to go, and in what the margin is', () => {
  const read = {
    ...form,
    summary: 'read',
    mainKey: 'holed-leaves',
    better: 'lower',
    marginKind: 'amount',
    margin: '10',
  } as const;
  expect(testableQuestion(read)).toBe(
    'Does seaweed or tea, instead of plain water, make “leaves with holes” at least 10 points lower in dwarf beans by 3 August 2026?',
  );
  expect(testableQuestion({ ...read, mainKey: 'first-flower', margin: '1' })).toContain(
    'make “first flower” come at least 1 day earlier in dwarf beans',
  );
  expect(testableQuestion({ ...read, mainKey: 'vigour', better: 'higher', margin: '2' })).toContain(
    'at least 2 steps higher',
  );
  expect(testableQuestion({ ...read, mainKey: 'height', marginKind: 'percent' })).toContain(
    'at least 10% lower',
  );
  expect(testableQuestion({ ...read, mainKey: '' })).toContain('make … better');
});

test('a trial about what is read goes back into its form', () => {
  const asked = readQuestion(
    {
      ...form,
      question: 'Does it?',
      summary: 'read',
      mainKey: 'holed-leaves',
      better: 'lower',
      marginKind: 'amount',
      margin: '12',
    },
    'uk',
    v7,
  );
  if (!asked.ok) throw new Error(JSON.stringify(asked.trouble));
  const back = questionFormOf({
    ...trialFixture({ treatments: 3 }),
    measures: asked.value.measures,
  });
  expect(back).toMatchObject({
    summary: 'read',
    mainKey: 'holed-leaves',
    better: 'lower',
    marginKind: 'amount',
    margin: '12',
  });
});

test('what is still missing stays a gap', () => {
  expect(
    testableQuestion({ ...form, crop: ' ', treatments: ['', 'tea'].map(treatment), endsOn: '' }),
  ).toBe('Does tea, instead of …, give at least 15% more beans from … by …?');
});

test('a trial’s question goes back into its form', () => {
  const data = trialFixture({ treatments: 3 });
  expect(questionFormOf(data)).toMatchObject({
    question: 'Does a feed help?',
    picked: 'beans',
    control: 0,
    summary: 'sound-weight',
    marginKind: 'percent',
    margin: '15',
    treatments: [{ name: 'plain water' }, { name: 'feed 1' }, { name: 'feed 2' }],
  });
});

test('a stored draft of another shape is dropped', () => {
  expect(readQuestionDraft(JSON.parse(JSON.stringify(form)))).toEqual(form);
  const { mainKey: _, ...older } = form;
  expect(readQuestionDraft(older)).toEqual(form); // of before a reading could be asked for
  const { askedOneWith: _one, askedOtherWith: _other, ...olderRules } = form.rules;
  expect(readQuestionDraft({ ...form, rules: olderRules })).toEqual(form);
  for (const stored of [
    null,
    'x',
    [],
    { ...form, treatments: 'x' },
    { ...form, treatments: [null] },
    { ...form, summary: 'colour' },
    { ...form, control: '0' },
  ])
    expect(readQuestionDraft(stored)).toBeUndefined();
});

test('what was agreed on stands in the sentence, several on a side together', () => {
  const rules = { ...form.rules, askedOne: 'seaweed', askedOther: 'tea' };
  expect(testableQuestion({ ...form, rules })).toMatch(/^Does seaweed, instead of tea, give /);
  expect(
    testableQuestion({
      ...form,
      rules: { ...rules, askedOther: 'plain water', askedOneWith: ['tea'] },
    }),
  ).toMatch(/^Does seaweed and tea together, instead of plain water, give /);
});

test('crossed things and increasing amounts make a sentence, too', () => {
  const factors = [
    { name: 'soil', levels: ['loam', 'bark'] },
    { name: 'feed', levels: ['none', 'fed'] },
  ];
  expect(testableQuestion({ ...form, made: 'crossed', factors, emptyCells: ['bark, none'] })).toBe(
    'Does bark instead of loam, or fed instead of none, give at least 15% more beans from dwarf beans by 3 August 2026?',
  );
  expect(
    testableQuestion({
      ...form,
      made: 'series',
      series: { name: 'depth of compost', unit: 'cm', doses: '0 5 2.5' },
    }),
  ).toBe(
    'Does depth of compost of 2.5 cm or 5 cm, instead of 0 cm, give at least 15% more beans from dwarf beans by 3 August 2026?',
  );
  expect(
    testableQuestion({
      ...form,
      rules: { ...form.rules, end: 'stage', endStage: 'half the pods dry' },
    }),
  ).toContain('by the stage “half the pods dry”?');
});

test('every pattern’s trial goes back into the form it came from', () => {
  for (const pattern of QUESTION_PATTERNS) {
    const draft: QuestionForm = {
      ...emptyQuestion('2026-05-01', pattern),
      crop: 'beans',
      picked: pattern.form.picked ?? 'beans',
    };
    const read = readQuestion(draft, 'uk', v7);
    if (!read.ok) throw new Error(JSON.stringify(read.trouble));
    const data = trialFixture();
    const back = questionFormOf({
      ...data,
      trial: { ...data.trial, ...read.value.facts },
      factors: read.value.factors,
      treatments: read.value.treatments,
      measures: read.value.measures,
    });
    expect({
      made: back.made,
      factors: back.factors,
      emptyCells: back.emptyCells,
      series: back.series,
      rules: back.rules,
      pattern: back.pattern,
      summary: back.summary,
    }).toEqual({
      made: draft.made,
      factors: draft.factors,
      emptyCells: draft.emptyCells,
      series: draft.series,
      rules: draft.rules,
      pattern: draft.pattern,
      summary: draft.summary,
    });
    expect(back.treatments.map(({ name }) => name)).toEqual(
      read.value.treatments.map(({ name }) => name),
    );
  }
});
