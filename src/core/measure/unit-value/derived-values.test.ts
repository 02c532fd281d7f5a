import { DERIVED_KINDS } from '@/core/measure/library/derived-lines';
import { clearingShare, derivedParts, derivedValue } from './derived-values';

const measure = (kindKey: string) => ({ id: kindKey, kindKey, name: kindKey, scale: null });
const built = { areaM2: 0.5, mixMl: 20_000, plants: 4, seedG: 200 };
const pick = (changes: object) => ({
  unitId: 'u1',
  outcome: 'picked',
  grade: 'sound',
  cullReason: null,
  pieces: 10,
  netG: 1000,
  note: '',
  ...changes,
});
const PICKS = [
  pick({}),
  pick({ note: 'last strip', pieces: 6, netG: 500 }),
  pick({ note: 'last strip', pieces: 2, netG: 100, grade: 'cull', cullReason: 'green' }),
];
const READ: Readonly<Record<string, number>> = {
  'top-mass': 400,
  'shoot-length': 240,
  'buds-above-cut': 8,
  height: 900,
  'start-size': 120,
  'tuber-mass': 2400,
  'water-given': 45,
  labour: 90,
  'trimmed-fresh': 240,
  'trimmed-dry': 30,
  'stored-before': 1000,
  'stored-after': 910,
};
const data = (picks: readonly object[] = PICKS, of: object | null = built) =>
  ({
    units: [{ id: 'u1', built: of }],
    picks,
    measures: Object.keys(READ).map(measure),
  }) as never;
const value = (key: string, trial = data()) => {
  const kind = DERIVED_KINDS.find(each => each.key === key);
  if (kind?.scale.kind !== 'derived') throw new Error(key);
  const parts = derivedParts(
    trial,
    kind.scale,
    each => new Map([['u1', READ[each.kindKey ?? ''] ?? null]]),
  );
  return derivedValue(kind.scale, parts.get('u1') ?? null);
};

// By hand: 1500 g sound of 1600 g, 16 sound of 18 pieces, on half a square metre.
const TRIED: readonly (readonly [string, number])[] = [
  ['per-area', 3000],
  ['per-plant', 375],
  ['per-seed', 7.5],
  ['per-litre', 75],
  ['per-hour', 1000],
  ['hours-per-kg', 1],
  ['sound-share', 93.75],
  ['pooled-piece', 93.75],
  ['clearing-ripe-share', 75],
  ['harvest-share', 80],
  ['internode', 30],
  ['height-gain', 780],
  ['tubers-per-seed', 12],
  ['tubers-per-plant', 600],
  ['water-per-kg', 30],
  ['dry-share', 12.5],
  ['kept-share', 91],
];

test.each(TRIED)('%s is %d', (key, right) => {
  expect(value(key)).toBeCloseTo(right, 9);
});

test('the ripe share of the final clearing pick is said of a pot, too', () => {
  expect(clearingShare(PICKS as never)).toEqual({ ripe: 6, all: 8 });
  expect(clearingShare([pick({})] as never)).toBeNull();
});

test('every ready-made one is tried here', () => {
  expect(DERIVED_KINDS.map(kind => kind.key)).toEqual(TRIED.map(([key]) => key));
});

test.each([
  ['per-area', data(PICKS, null)],
  ['per-area', data([])],
  ['pooled-piece', data([pick({ pieces: null })])],
  ['per-area', data([pick({ netG: null })])],
  ['clearing-ripe-share', data([pick({})])],
  ['pooled-piece', data([pick({ outcome: 'nothing-there', pieces: null, netG: null })])],
] as const)('%s of what is not known is missing, never nought', (key, trial) => {
  expect(value(key, trial)).toBeNull();
});

test('nothing to pick over a known area is nothing, and counts', () => {
  expect(
    value('per-area', data([pick({ outcome: 'nothing-there', pieces: null, netG: null })])),
  ).toBe(0);
});
