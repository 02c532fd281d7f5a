import fc from 'fast-check';
import { v7 } from 'uuid';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { BLANK_FEATURE, BLANK_LAYOUT } from '@/core/trial/model/blank-facts';
import type { SiteFeature } from '@/core/trial/model/layout';
import type { TrialData } from '@/core/trial/model/trial-data';
import { closestMm, keepArrangement, movePlace } from './arrangement';
import { layOutBench } from './bench-plan';
import { siteBiases } from './site-bias';
import { strengthAt } from './site-features';

const fixture = trialFixture({ treatments: 3, unitsEach: 4, blockCount: 4 });
const withSite = (data: TrialData, ...site: readonly SiteFeature[]): TrialData => ({
  ...data,
  layout: data.layout && { ...data.layout, site },
});
const slope = (side: SiteFeature['side']): SiteFeature => ({
  kind: 'slope',
  side,
  percent: 30,
  ...BLANK_FEATURE,
});

function laidOut(
  isTurned: boolean,
  kind: 'complete-blocks' | 'latin-square' = 'complete-blocks',
): TrialData {
  const bench = layOutBench(
    {
      ...BLANK_LAYOUT,
      columnWord: kind === 'latin-square' ? 'column' : null,
      isTurned,
      kind,
      treatments: fixture.treatments,
      each: 1,
      blockCount: 3,
      blockWord: 'row',
      unitWord: 'pot',
      unitShape: 'round',
      unitWidthMm: 200,
      unitDepthMm: 200,
      seed: 3,
      deals: 1,
    },
    () => v7(),
  );
  return { ...fixture, ...bench };
}

test('blocks that lie along the contours take the slope out whole, and nothing is biased by it', () => {
  const [bias] = siteBiases(withSite(laidOut(false), slope('far')));
  expect(bias?.takenOut).toBeCloseTo(1, 10);
  for (const each of bias?.biases ?? []) expect(each.percent).toBeCloseTo(0, 10);
  expect(bias?.asRows).toBeCloseTo(1, 10);
  expect(bias?.asColumns).toBeLessThan(0.1);
});

test('blocks across the contours take nothing out; turned, they do', () => {
  const [across] = siteBiases(withSite(laidOut(false), slope('left')));
  expect(across?.takenOut).toBeCloseTo(0, 10);
  expect(Math.max(...(across?.biases ?? []).map(each => Math.abs(each.percent)))).toBeGreaterThan(
    1,
  );
  expect(siteBiases(withSite(laidOut(true), slope('left')))[0]?.takenOut).toBeCloseTo(1, 10);
});

test('a square is biased by neither', () => {
  for (const side of ['left', 'far'] as const)
    for (const { percent } of siteBiases(withSite(laidOut(false, 'latin-square'), slope(side)))[0]
      ?.biases ?? [])
      expect(percent).toBeCloseTo(0, 10);
});

test('a feature is strongest at its side and weakest at the other', () => {
  const bench = { widthMm: 1000, depthMm: 500 };
  fc.assert(
    fc.property(
      fc.constantFrom(
        'slope' as const,
        'light' as const,
        'wall' as const,
        'fence' as const,
        'tap' as const,
        'traffic' as const,
      ),
      fc.double({ min: 0, max: 1000, noNaN: true }),
      (kind, x) => {
        expect(
          strengthAt({ kind, side: 'left', percent: 10, ...BLANK_FEATURE }, 0, 250, bench),
        ).toBeGreaterThan(kind === 'slope' || kind === 'light' ? 0.999 : 0.4);
        expect(
          strengthAt({ kind, side: 'left', percent: 10, ...BLANK_FEATURE }, x, 250, bench),
        ).toBeCloseTo(
          strengthAt({ kind, side: 'right', percent: 10, ...BLANK_FEATURE }, 1000 - x, 250, bench),
          10,
        );
        expect(
          strengthAt({ kind, side: 'far', percent: 10, ...BLANK_FEATURE }, 500, 500, bench),
        ).toBeLessThan(0.05);
      },
    ),
  );
});

test('a tap is felt in a ring about it, a wall all along it: 37% at its reach', () => {
  const bench = { widthMm: 1000, depthMm: 500 };
  const tap = {
    kind: 'tap' as const,
    side: 'left' as const,
    percent: 10,
    line: { x1Mm: 300, y1Mm: 200, x2Mm: 300, y2Mm: 200 },
    reachMm: 150,
  };
  const wall = { ...tap, kind: 'wall' as const, line: { x1Mm: 0, y1Mm: 0, x2Mm: 0, y2Mm: 500 } };
  expect(strengthAt(tap, 300, 200, bench)).toBe(1);
  for (const [x, y] of [
    [450, 200],
    [300, 50],
    [300 - 150 * Math.SQRT1_2, 200 + 150 * Math.SQRT1_2],
  ] as const)
    expect(strengthAt(tap, x, y, bench)).toBeCloseTo(Math.exp(-1), 10);
  for (const y of [0, 250, 500])
    expect(strengthAt(wall, 150, y, bench)).toBeCloseTo(Math.exp(-1), 10);
  expect(strengthAt(wall, 0, 650, bench)).toBeCloseTo(Math.exp(-1), 10); // past its end
  const [a, b] = siteBiases(withSite(laidOut(false), tap, wall));
  expect(a?.biases).not.toEqual(b?.biases);
});

test('whatever is moved wherever: nothing stands on another, nothing leaves its shelf or the bench', () => {
  const movable = fixture.places.filter(place => place.parentId !== null);
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(
          fc.integer({ min: 0, max: movable.length - 1 }),
          fc.integer({ min: -500, max: 4000 }),
          fc.integer({ min: -500, max: 4000 }),
        ),
        { maxLength: 6 },
      ),
      moves => {
        let places = fixture.places;
        for (const [at, x, y] of moves) {
          const moved = movePlace(places, movable[at]?.id ?? '', x, y);
          if (moved.ok) places = moved.value;
        }
        for (const place of places) {
          const parent = places.find(other => other.id === place.parentId);
          if (!parent) continue;
          expect(
            place.xMm >= 0 &&
              place.yMm >= 0 &&
              place.xMm + place.widthMm <= parent.widthMm + 1 &&
              place.yMm + place.depthMm <= parent.depthMm + 1,
          ).toBe(true);
        }
        const shelves = places.filter(place => place.kind === 'shelf');
        shelves.forEach((a, i) => {
          for (const b of shelves.slice(i + 1))
            expect(
              a.xMm >= b.xMm + b.widthMm - 1 ||
                b.xMm >= a.xMm + a.widthMm - 1 ||
                a.yMm >= b.yMm + b.depthMm - 1 ||
                b.yMm >= a.yMm + a.depthMm - 1,
            ).toBe(true);
        });
      },
    ),
    { numRuns: 60 },
  );
});

test('a pot is not stood on another', () => {
  const [first, second] = fixture.places.filter(place => place.kind === 'pot');
  expect(movePlace(fixture.places, first?.id ?? '', second?.xMm ?? 0, second?.yMm ?? 0)).toEqual({
    ok: false,
    trouble: { kind: 'stands-on', other: second?.name },
  });
  expect(movePlace(fixture.places, 'nonsense', 0, 0)).toEqual({
    ok: false,
    trouble: { kind: 'no-such-place' },
  });
});

test('a fresh deal of the same plan stands where the old one was arranged; another plan does not', () => {
  const old = fixture.places.map(place => ({ ...place, xMm: place.xMm + 7 }));
  expect(keepArrangement(old, fixture.places).map(place => place.xMm)).toEqual(
    old.map(place => place.xMm),
  );
  expect(keepArrangement(old.slice(1), fixture.places)).toBe(fixture.places);
});

test('the closest two, edge to edge', () => {
  const round = (xMm: number, yMm: number) => ({
    xMm,
    yMm,
    widthMm: 200,
    depthMm: 200,
    shape: 'round' as const,
  });
  expect(closestMm([round(0, 0), round(250, 0), round(0, 900)])).toBeCloseTo(50, 10);
  expect(closestMm([round(0, 0), { ...round(200, 0), shape: 'square' }])).toBe(0);
  expect(closestMm([round(0, 0)])).toBeNull();
});
