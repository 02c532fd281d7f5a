import { COMMON_CROPS } from './common-crops';
import { familyOf } from './crop-families';

/** Alone in their families among what is listed, so that nothing could follow on them. */
const ALONE = ['blackcurrants', 'gooseberries'];

test('what stood in a bed before is told of every crop that is offered', () => {
  expect(COMMON_CROPS.filter(crop => familyOf(crop) === undefined)).toEqual(ALONE);
});

test('the list is in the order of the alphabet, each once', () => {
  const sorted = [...new Set(COMMON_CROPS)].sort((a, b) => a.localeCompare(b, 'en'));
  expect(COMMON_CROPS).toEqual(sorted);
});
