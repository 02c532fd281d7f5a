import { groupWords } from './group-words';

const share = (k: number, of: number) =>
  groupWords(
    { outcome: 'proportion', unitWord: 'pot' },
    {
      treatment: 'bait',
      n: 3,
      mean: 0,
      sd: 0,
      median: 0,
      came: null,
      share: { k, of, ci: [0, 1] },
    },
  );

// 1 − 0.05^(1/n): Louis (1981), The American Statistician 35, 154; C121: 0 of 10 leaves 26%.
test.each([
  [0, 6, '0 of 6 (none found; up to 39% is still possible)'],
  [0, 10, '0 of 10 (none found; up to 26% is still possible)'],
  [6, 6, '6 of 6 (all; as little as 61% is still possible)'],
  [3, 6, '3 of 6 (50%)'],
])('%i of %i says what it leaves open', (k, of, words) => {
  expect(share(k, of)).toBe(words);
});
