import { productFixture } from '@/core/trial/fixtures/product-fixture';
import { untriedTrouble } from './strength-ladder';

const spray = productFixture({ name: 'suds', form: 'spray-concentrate' });
const looked = (...looks: readonly boolean[]) => ({
  ...spray,
  stepUp: { startedOn: '2026-05-01', looks },
});

test.each([
  ['a spray that is new here', spray, 1, 'new here'],
  ['one whose ladder is not through', looked(false), 1, 'still being stepped up'],
  ['one that did harm at its weakest', looked(true), 0.25, 'harm at its weakest'],
  [
    'one that did harm at full strength, at full strength',
    looked(false, false, true),
    1,
    'at most that',
  ],
])('%s goes on no trial', (_, product, strength, says) => {
  expect(untriedTrouble(product, strength)).toContain(says);
});

test.each([
  ['a spray that was used here before', { ...spray, isKnownHere: true }, 1],
  ['one that did no harm on any step', looked(false, false, false), 1],
  ['one that did harm at full strength, at half', looked(false, false, true), 0.5],
  ['a feed', productFixture(), 1],
])('%s does', (_, product, strength) => {
  expect(untriedTrouble(product, strength)).toBeUndefined();
});
