import { emptyPickFixture, pickFixture, trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { draftOf, pickWords, readRoundDraft } from './pick-draft';
import { oddity, oddityWords, roundSums } from './weigh-sums';

const { units } = trialFixture({ unitsEach: 5 });
const unitAt = (i: number) => {
  const unit = units[i];
  if (!unit) throw new Error('the fixture must have ten units');
  return unit;
};

test('a round counts units, not entries, and leaves culls and other days out', () => {
  const picks = [
    pickFixture(unitAt(0)),
    pickFixture(unitAt(0), { netG: 50, pieces: 5 }),
    pickFixture(unitAt(1), { netG: 30, grade: 'cull', cullReason: 'split' }),
    emptyPickFixture(unitAt(2), 'nothing-there'),
    pickFixture(unitAt(3), { pickedOn: '2026-07-02' }),
  ];
  expect(roundSums(picks, '2026-07-01')).toEqual({
    unitsDone: 3,
    pieces: 15,
    netG: 150,
    meanG: 50,
  });
  expect(roundSums(picks, '2026-08-01')).toEqual({ unitsDone: 0, pieces: 0, netG: 0, meanG: null });
});

describe('a weight far from the day’s others', () => {
  const others = [1, 2, 3, 4].map((i, at) => pickFixture(unitAt(i), { netG: 90 + 10 * at }));

  test.each([
    [500, 5 - 0.45],
    [12, 0.11],
    [100, null],
    [400, null],
  ])('%d g among about 110 g', (netG, ratio) => {
    const found = oddity(others, pickFixture(unitAt(0), { netG }));
    if (ratio === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(ratio, 1);
  });

  test.each([
    [13.6, 'That is 14 times what others gave'],
    [0.11, 'That is 11% of what others gave'],
    [0, 'That is 0% of what others gave'],
  ])('a ratio of %d: %s', (ratio, words) => {
    expect(oddityWords(ratio)).toContain(words);
  });

  test('an empty container alone is asked about, too', () => {
    expect(oddity(others, pickFixture(unitAt(0), { netG: 0 }))).toBe(0);
  });

  test('is not judged by fewer than four others, nor in a cull', () => {
    expect(oddity(others.slice(1), pickFixture(unitAt(0), { netG: 5000 }))).toBeNull();
    expect(
      oddity(others, pickFixture(unitAt(0), { netG: 5000, grade: 'cull', cullReason: 'rot' })),
    ).toBeNull();
  });
});

test.each([
  [pickFixture(unitAt(0)), '100 g, 10 pieces'],
  [pickFixture(unitAt(0), { pieces: 1 }), '100 g, 1 piece'],
  [pickFixture(unitAt(0), { netG: null }), '10 pieces'],
  [pickFixture(unitAt(0), { grade: 'cull', cullReason: 'rot' }), '100 g, 10 pieces, cull (rot)'],
  [emptyPickFixture(unitAt(0), 'nothing-there'), 'nothing to pick'],
  [emptyPickFixture(unitAt(0), 'not-looked'), 'not looked at'],
  [emptyPickFixture(unitAt(0), 'dead'), 'dead'],
  [pickFixture(unitAt(0), { isRemoval: true }), 'taken out'],
])('a pick in one line, case %#', (pick, words) => {
  expect(pickWords(pick, 'metric')).toBe(words);
});

test('a pick comes back into the form as it was written', () => {
  expect(
    draftOf(pickFixture(unitAt(0), { asWritten: '5 oz', note: 'wet' }), 'metric'),
  ).toMatchObject({ gross: '5 oz', pieces: '10', note: 'wet' });
  expect(draftOf(pickFixture(unitAt(0), { asWritten: '' }), 'metric').gross).toBe('150 g');
});

test.each([
  null,
  7,
  {},
  { pickedOn: 1, tare: '', mode: 'whole' },
  { pickedOn: '2026-07-01', tare: '', mode: 'both' },
])('what is no round any more is dropped: %j', stored => {
  expect(readRoundDraft(stored)).toBeUndefined();
});
