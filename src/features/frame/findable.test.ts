import fc from 'fast-check';
import { type Findable, found, PLACES_TO_FIND } from './findable';

const BEANS = {
  label: 'Do three feeds help dwarf beans?',
  what: 'trial, closed',
  href: '/trials/1/judge',
};
const FEED = { label: 'Heronsgill feed', what: 'product', href: '/shelf/2' };
const ALL: readonly Findable[] = [...PLACES_TO_FIND, BEANS, FEED];
const labels = (typed: string) => found(ALL, typed).map(({ label }) => label);

test('words in any order, begun only, find what has them; what has them in its name stands first', () => {
  expect(labels('bea dwarf')).toEqual([BEANS.label]);
  expect(labels('feed')).toEqual([BEANS.label, FEED.label]);
  expect(labels('TRIALS')).toEqual(['Trials']);
  expect(labels('trial')).toEqual(['Trials', 'Ask a new question', BEANS.label]);
  expect(labels('frost')).toEqual(['Weather', 'Garden']);
  expect(labels('tractor')).toEqual([]);
});

test('nothing typed shows all, and whatever is typed finds nothing twice', () => {
  expect(labels('')).toHaveLength(ALL.length);
  fc.assert(
    fc.property(fc.string({ maxLength: 12 }), typed => {
      const shown = found(ALL, typed);
      expect(new Set(shown).size).toBe(shown.length);
      expect(shown.every(each => ALL.includes(each))).toBe(true);
    }),
  );
});
