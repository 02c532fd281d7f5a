import { withNegativeValues } from './negative-values';

test('a value below zero belongs to the option before it; words, files and short options are left alone', () => {
  expect(withNegativeValues(['--lat', '-35', '--day', '12', '--tmin', '-.5', '--json'])).toEqual([
    '--lat=-35',
    '--day',
    '12',
    '--tmin=-.5',
    '--json',
  ]);
  expect(withNegativeValues(['file.csv', '-3'])).toEqual(['file.csv', '-3']);
  expect(withNegativeValues(['--json', '-h'])).toEqual(['--json', '-h']);
});
