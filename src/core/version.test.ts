import { readFileSync } from 'node:fs';
import { CODE_VERSION } from './version';

test('the version in the code is the one of the package', () => {
  expect(JSON.parse(readFileSync('package.json', 'utf8'))).toMatchObject({ version: CODE_VERSION });
});
