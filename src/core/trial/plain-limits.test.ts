import fc from 'fast-check';
import { trialFixture } from './fixtures/trial-fixture';
import type { TrialData } from './model/trial-data';
import { beyondLimits } from './plain-limits';
import { readWholeTrial, wholeTrialSentence } from './whole-trial';

const data = trialFixture({ treatments: 2, unitsEach: 3 });
const said = (changes: Partial<TrialData>): string => {
  const read = readWholeTrial(JSON.parse(JSON.stringify({ ...data, ...changes })));
  return read.ok ? 'taken' : wholeTrialSentence(read.trouble);
};

test('a trial of a garden is within its limits', () => {
  expect(said({})).toBe('taken');
});

test('what is nested a hundred thousand deep is refused, and breaks nothing', () => {
  const deep = JSON.parse(`${'['.repeat(100_000)}${']'.repeat(100_000)}`);
  expect(beyondLimits(deep)).toContain('nested');
  expect(readWholeTrial(deep).ok).toBe(false);
});

test('places that stand on each other without end are refused with their number', () => {
  const [ground] = data.places;
  if (!ground) throw new Error('there must be a place');
  const tower = (count: number) =>
    Array.from({ length: count }, (_, i) => ({
      ...ground,
      id: `0000000${i}`.slice(-8).concat('-0000-7000-8000-000000000000') as typeof ground.id,
      parentId:
        i === 0
          ? ground.id
          : (`0000000${i - 1}`
              .slice(-8)
              .concat('-0000-7000-8000-000000000000') as typeof ground.id),
    }));
  expect(said({ places: [...data.places, ...tower(20)] })).toBe(
    'The file does not hang together: a place stands on more than 10 others.',
  );
  expect(said({ places: tower(20_000) })).toBe(
    'The file is not taken: it has 20000 places, at most 5000 are taken.',
  );
});

test.each([
  [{ trial: { ...data.trial, startsOn: '0001-01-01' } }, '0001-01-01 lies outside of 1990 to 2100'],
  [{ trial: { ...data.trial, endsOn: '9999-12-31' } }, '9999-12-31 lies outside of 1990 to 2100'],
  [{ trial: { ...data.trial, endsOn: '2099-12-31' } }, 'lasts more than three years'],
  [{ measures: data.measures.map(each => ({ ...each, onDay: 1e308 })) }, '1e+308 is larger'],
] as const)('%# is refused with its number', (changes, says) => {
  expect(said(changes as Partial<TrialData>)).toContain(says);
});

test('whatever is in it, looking through a value ends and tells of numbers beyond the limit', () => {
  fc.assert(
    fc.property(
      fc.jsonValue({ maxDepth: 8 }),
      fc.double({ min: 1.1e12, noNaN: true }),
      (value, large) => {
        const found = beyondLimits(value);
        expect(found === undefined || found !== '').toBe(true);
        expect(beyondLimits({ value: [], also: [large] })).toContain('larger');
      },
    ),
  );
});
