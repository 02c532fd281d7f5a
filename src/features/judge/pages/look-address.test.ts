import fc from 'fast-check';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import type { AnalysisSpec } from '@/core/judge/units/trial-analysis';
import { lookFrom, withLook } from './look-address';
import { verdictPage } from './verdict-pages';

const MAIN = '00000000-0000-4000-8000-000000000001';
const OTHER = '00000000-0000-4000-8000-000000000002';
const planned: AnalysisSpec = {
  measureId: MAIN,
  margin: { kind: 'percent', percent: 15 },
  leftOut: ['TL3'],
  shuffles: 20_000,
  seed: 1,
  priorCv: STARTING_GUESS_CV,
};

const looks = fc.record({
  measureId: fc.constantFrom(MAIN, OTHER),
  margin: fc.oneof(
    fc.constant(null),
    fc.integer({ min: 1, max: 1000 }).map(percent => ({ kind: 'percent' as const, percent })),
  ),
  leftOut: fc.subarray(['TL3', 'AB4', 'XY7']),
  isByPlace: fc.constantFrom(true, undefined),
});

test('a look is found again in the address it makes, and nothing else of the address is touched', () => {
  fc.assert(
    fc.property(looks, ({ isByPlace, ...look }) => {
      const spec = { ...planned, ...look, ...(isByPlace ? { isByPlace } : {}) };
      const address = withLook(new URLSearchParams('page=firm&measure=x'), spec, planned);
      const again = lookFrom(new URLSearchParams(address.toString()), planned);
      expect({ ...again, leftOut: [...again.leftOut].sort() }).toEqual({
        ...spec,
        leftOut: [...spec.leftOut].sort(),
      });
      expect([address.get('page'), address.get('measure')]).toEqual(['firm', 'x']);
    }),
  );
});

test('what is as planned says nothing in the address', () => {
  expect(
    withLook(new URLSearchParams('margin=40&out=AB4&page=firm'), planned, planned).toString(),
  ).toBe('page=firm');
});

test.each(['margin=-3', 'margin=lots', 'out=<script>', 'look=main', 'place=yes', 'back=,'])(
  'what %s asks is as planned',
  address => {
    expect(lookFrom(new URLSearchParams(address), planned)).toEqual(planned);
  },
);

test('a page that is none is the answer', () => {
  expect(['firm', 'money', 'x', '', null].map(verdictPage)).toEqual([
    'firm',
    'money',
    'answer',
    'answer',
    'answer',
  ]);
});
