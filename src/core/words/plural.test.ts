import { counted, pluralOf } from './plural';

test.each([
  ['pot', 'pots'],
  ['shelf', 'shelves'],
  ['raised bed', 'raised beds'],
  ['top shelf', 'top shelves'],
  ['bench', 'benches'],
  ['box', 'boxes'],
  ['tray', 'trays'],
  ['half', 'halves'],
  ['nursery', 'nurseries'],
])('%s: %s', (word, expected) => {
  expect(pluralOf(word)).toBe(expected);
});

test('one thing stays singular', () => {
  expect([counted(1, 'shelf'), counted(2, 'shelf')]).toEqual(['1 shelf', '2 shelves']);
});
