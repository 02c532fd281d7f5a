import { judge } from '@/core/judge/outcomes/judge';
import type { Call, Judgement } from '@/core/judge/outcomes/judgement';
import {
  comparisonsToGuess,
  guessedComparisonWords,
} from '@/core/judge/question/comparisons-to-guess';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { judgeInputFixture } from '@/core/judge/question/judge-input-fixture';
import { predictionFixture } from '@/core/trial/fixtures/prediction-fixture';
import type { Foretold, GuessedComparison } from '@/core/trial/model/plan-record';
import { predictionRenamed } from '@/core/trial/prediction-renamed';
import { expectedWords, guessSubject } from './guess-words';
import { outcomeOf, predictionScores, settledGuess } from './prediction-scores';

const NAMES = ['tea', 'feed', 'water'].map(treatment => ({ treatment }));
const said = (best: string | null, call: Call) => ({ groups: NAMES, verdict: { best, call } });
const guessed = (expects: string | null) => predictionFixture({ expects });

/** Four plants of each: char gives 30 more on kale and takes 30 from collards; crops differ by nothing. */
function crossed(changes: Partial<JudgeInput> = {}): JudgeInput {
  const cells = { 'kale:none': 100, 'kale:char': 130, 'collards:none': 100, 'collards:char': 70 };
  const units = Object.entries(cells).flatMap(([treatment, mean]) =>
    [1, -1, 2, -2].map((extra, i) => ({
      id: `${treatment}${i}`,
      treatment,
      value: mean + extra,
      isLeftOut: false,
      blocks: [],
    })),
  );
  return judgeInputFixture(units, {
    treatmentName: 'crop:char',
    control: 'kale:none',
    factors: {
      names: ['crop', 'char'],
      levelsOf: Object.fromEntries(Object.keys(cells).map(cell => [cell, cell.split(':')])),
    },
    margin: { kind: 'percent', percent: 10 },
    ...changes,
  });
}

describe('which does best', () => {
  test('is right, wrong, or not settled; a verdict that can’t tell makes nobody wrong', () => {
    expect(outcomeOf(guessed('tea'), said('tea', 'better'))).toBe('came');
    expect(outcomeOf(guessed(null), said('tea', 'better'))).toBe('otherwise');
    expect(outcomeOf(guessed(null), said(null, 'no-difference-that-matters'))).toBe('came');
    expect(outcomeOf(guessed('tea'), said(null, 'no-difference-that-matters'))).toBe('otherwise');
    expect(outcomeOf(guessed('tea'), said(null, 'cant-tell'))).toBe('open');
  });
  test('makes nobody wrong about a treatment, or a measure, that is not in the trial any more', () => {
    expect(outcomeOf(guessed('ash'), said('tea', 'better'))).toBe('open');
    expect(outcomeOf(guessed('tea'), null)).toBe('open');
  });
});

describe('one comparison', () => {
  const input = crossed();
  const judgement = judge(input);
  const comparisons = comparisonsToGuess(input);
  const outcomes = (words: string, of: Judgement = judgement) => {
    const comparison = comparisons.find(each => guessedComparisonWords(each) === words);
    if (!comparison) throw new RangeError(words);
    return (['more', 'less', 'same'] as const).map(way =>
      outcomeOf({ expects: null, foretold: { comparison, way } }, of),
    );
  };

  test('of crossed factors is each level, averaged and within the other’s levels', () => {
    expect(comparisons.map(guessedComparisonWords)).toEqual([
      'collards against kale, averaged over the rest',
      'collards against kale, with char none',
      'collards against kale, with char char',
      'char against none, averaged over the rest',
      'char against none, with crop kale',
      'char against none, with crop collards',
    ]);
  });
  test('is settled by its own call, never by another’s', () => {
    expect(outcomes('char against none, with crop kale')).toEqual([
      'came',
      'otherwise',
      'otherwise',
    ]);
    expect(outcomes('char against none, with crop collards')).toEqual([
      'otherwise',
      'came',
      'otherwise',
    ]);
    expect(outcomes('char against none, averaged over the rest')).toEqual([
      'otherwise',
      'otherwise',
      'came',
    ]);
  });
  test('more is more, where less is better too', () => {
    expect(
      outcomes('char against none, with crop kale', judge(crossed({ better: 'lower' }))),
    ).toEqual(['came', 'otherwise', 'otherwise']);
  });
  test('is not settled by a verdict that has no such comparison', () => {
    expect(outcomes('char against none, with crop kale', { ...judgement, effects: [] })).toEqual([
      'open',
      'open',
      'open',
    ]);
  });
  test('that was agreed on comes first, and is settled by its own judgement', () => {
    const agreed = { one: ['kale:char', 'collards:char'], other: ['kale:none'] };
    const asked = crossed({ agreed });
    const [first] = comparisonsToGuess(asked);
    expect(first).toEqual({ kind: 'agreed', ...agreed });
    const foretold: Foretold = { comparison: first!, way: 'same' };
    expect(outcomeOf({ expects: null, foretold }, judge(asked))).toBe('came');
    expect(outcomeOf({ expects: null, foretold }, judgement)).toBe('open');
  });
  test('of a series of doses is the line through all of them, too', () => {
    const doses = { 'kale:none': 0, 'kale:char': 3, 'collards:none': 1, 'collards:char': 2 };
    const series = crossed({ factors: undefined, treatmentName: 'cell', doses });
    const [line, ...others] = comparisonsToGuess(series);
    expect(guessedComparisonWords(line!)).toBe('kale:char against kale:none, along all doses');
    expect(others).toHaveLength(3);
    const foretold: Foretold = { comparison: line!, way: 'more' };
    // 100, 100, 70, 130: up by 18 from end to end.
    expect(outcomeOf({ expects: null, foretold }, judge(series))).toBe('came');
    expect(outcomeOf({ expects: null, foretold }, judgement)).toBe('open');
  });
  test('of plain treatments is each against the control', () => {
    const plain = crossed({ factors: undefined, treatmentName: 'cell' });
    const foretold: Foretold = { comparison: comparisonsToGuess(plain)[0]!, way: 'more' };
    expect(guessedComparisonWords(foretold.comparison)).toBe('kale:char against kale:none');
    expect(outcomeOf({ expects: null, foretold }, judge(plain))).toBe('came');
  });
});

test('guesses over several trials are counted by name, beside a die; what was foretold of the roots is no such guess', () => {
  const better = said('tea', 'better');
  const alike = said(null, 'no-difference-that-matters');
  const foretold: Foretold = {
    comparison: { kind: 'control', treatment: 'tea', control: 'water' },
    way: 'same',
  };
  const same = {
    ...alike,
    contrasts: [
      {
        estimable: true,
        treatment: 'tea',
        control: 'water',
        difference: 1,
        call: alike.verdict.call,
      },
    ] as unknown as Judgement['contrasts'],
  };
  const records = predictionScores([
    settledGuess(predictionFixture({ expects: 'tea' }), better),
    settledGuess(predictionFixture({ by: 'Tomas', expects: null }), better),
    settledGuess(predictionFixture({ by: ' ines ', expects: 'tea' }), alike),
    settledGuess(predictionFixture({ expects: 'many', about: 'roots' }), alike),
    settledGuess(predictionFixture({ expects: 'tea' }), said(null, 'cant-tell')),
    settledGuess(predictionFixture({ by: 'Tomas', expects: null, foretold }), same),
  ]);
  expect(records).toEqual([
    { by: 'Ines', settled: 2, came: 1, open: 1, byChance: 1 / 4 + 1 / 4 },
    { by: 'Tomas', settled: 2, came: 1, open: 0, byChance: 1 / 4 + 1 / 3 },
  ]);
});

test('a guess says what it is about: its measure, its comparison, what was to be found', () => {
  const comparison: GuessedComparison = { kind: 'control', treatment: 'tea', control: 'water' };
  const measureId = '00000000-0000-7000-8000-0000000000e1' as never;
  const measures = [{ id: measureId, name: 'Slugs found' }];
  const guess = predictionFixture({
    measureId,
    expects: null,
    foretold: { comparison, way: 'less' },
  });
  expect([guessSubject(guess, measures), expectedWords(guess)]).toEqual([
    'slugs found: tea against water',
    'less',
  ]);
  expect(guessSubject(guess, [])).toBe('a measure taken out since: tea against water');
  expect(guessSubject(predictionFixture({ about: 'roots' }), [])).toBe('roots');
  expect([guessSubject(predictionFixture(), []), expectedWords(guessed(null))]).toEqual([
    '',
    'no difference that matters',
  ]);
});

test('a level that is called otherwise is so wherever it stands in a guess', () => {
  const renamed = (comparison: GuessedComparison) =>
    predictionRenamed(
      predictionFixture({ expects: '5 cm', foretold: { comparison, way: 'more' } }),
      '5 cm',
      '4 cm',
    );
  expect(renamed({ kind: 'control', treatment: '5 cm', control: '0 cm' })).toMatchObject({
    expects: '4 cm',
    foretold: { comparison: { treatment: '4 cm', control: '0 cm' }, way: 'more' },
  });
  expect(
    renamed({
      kind: 'level',
      factor: 'mulch',
      level: '5 cm',
      against: '0 cm',
      within: { bed: '5 cm' },
    }).foretold?.comparison,
  ).toEqual({
    kind: 'level',
    factor: 'mulch',
    level: '4 cm',
    against: '0 cm',
    within: { bed: '4 cm' },
  });
  expect(renamed({ kind: 'trend', most: '5 cm', least: '0 cm' }).foretold?.comparison).toEqual({
    kind: 'trend',
    most: '4 cm',
    least: '0 cm',
  });
  expect(
    renamed({ kind: 'agreed', one: ['5 cm', '9 cm'], other: ['0 cm'] }).foretold?.comparison,
  ).toEqual({ kind: 'agreed', one: ['4 cm', '9 cm'], other: ['0 cm'] });
});
