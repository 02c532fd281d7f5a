import { expect, test } from './garden-server';
import { scriptBytes } from './script-bytes';
import { VIEWS } from './views';

const MOST = 320_000;
const MOST_ON_THE_WALK = 200_000; // opened out of doors, by a phone with a bar or two

test('no page takes more script than a slow line brings before it can be pressed', async ({
  garden,
}) => {
  const tooMuch: string[] = [];
  for (const { name, path, trial } of VIEWS) {
    const at = trial === undefined ? path : `/trials/${garden.trialId(trial)}/${path}`;
    const bytes = await scriptBytes(`${garden.url}${at}`);
    expect(bytes, name).toBeGreaterThan(100_000); // the page was there, and its scripts
    if (bytes > (path === 'walk' ? MOST_ON_THE_WALK : MOST)) tooMuch.push(`${name}: ${bytes}`);
  }
  expect(tooMuch).toEqual([]);
});
