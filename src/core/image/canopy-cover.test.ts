import fc from 'fast-check';
import { seededRandom } from '@/core/stats/distributions/seeded-random';
import { browning, canopyCover, type Picture } from './canopy-cover';
import { type Corners, squareToQuad } from './homography';
import { otsu } from './otsu';

interface Scene {
  readonly cover: number;
  readonly shadow: number;
  readonly noise: number;
  readonly corners: Corners;
}

// Jest looks globals up slowly: a million pixels ask for these.
const { floor, imul, min } = Math;
const WIDTH = 600;
const HEIGHT = 466;
const STRAIGHT: Corners = [
  { x: 40, y: 33 },
  { x: 560, y: 33 },
  { x: 560, y: 433 },
  { x: 40, y: 433 },
];
const TILTED: Corners = [
  { x: 140, y: 80 },
  { x: 467, y: 60 },
  { x: 573, y: 427 },
  { x: 27, y: 400 },
];

/** A made-up bed: leaves as round patches in the frame's own square, half of it in shadow, a camera's noise over all. The cover is known exactly. */
function drawn(
  { cover, shadow, noise, corners }: Scene,
  seed: number,
): { readonly picture: Picture; readonly truth: number } {
  const random = seededRandom(seed);
  const cells = 60;
  const order = Array.from({ length: cells * cells }, (_, i) => i);
  for (let i = order.length - 1; i > 0; i--) {
    const j = random.below(i + 1);
    [order[i], order[j]] = [order[j] ?? 0, order[i] ?? 0];
  }
  const leaves = new Set(order.slice(0, Math.round(cells * cells * cover)));
  const rgba = new Uint8ClampedArray(4 * WIDTH * HEIGHT).fill(255);
  let state = seed; // a plain congruence: a million pixels want their noise soon
  const map = squareToQuad(corners);
  if (!map) throw new Error('the corners must make a frame');
  const paint = (x: number, y: number, u: number, v: number): void => {
    const isLeaf = leaves.has(
      min(cells - 1, floor(v * cells)) * cells + min(cells - 1, floor(u * cells)),
    );
    const [r, g, b] = isLeaf ? [62, 118, 44] : [112, 92, 74];
    const light = u + v < 1 ? shadow : 1;
    const at = 4 * (y * WIDTH + x);
    const dirt = (): number => {
      state = (imul(state, 1664525) + 1013904223) >>> 0;
      return (state / 2 ** 31 - 1) * noise;
    };
    rgba[at] = r * light + dirt();
    rgba[at + 1] = g * light + dirt();
    rgba[at + 2] = b * light + dirt();
  };
  for (let v = 0; v < 1; v += 1 / 700)
    for (let u = 0; u < 1; u += 1 / 700) {
      const { x, y } = map.at(u, v);
      paint(floor(x), floor(y), u, v);
    }
  return {
    picture: { width: WIDTH, height: HEIGHT, rgba },
    truth: (100 * leaves.size) / (cells * cells),
  };
}

test.each([
  [0.05, 1, 0, STRAIGHT],
  [0.05, 0.45, 12, TILTED],
  [0.2, 0.5, 12, STRAIGHT],
  [0.35, 0.45, 18, TILTED],
  [0.5, 1, 0, TILTED],
  [0.65, 0.5, 18, STRAIGHT],
  [0.8, 0.45, 12, TILTED],
  [0.95, 1, 18, STRAIGHT],
  [0.95, 0.45, 12, TILTED],
] as const)(
  'a cover of %d, light in the shadow %d, noise %d: within two points',
  (cover, shadow, noise, corners) => {
    const { picture, truth } = drawn({ cover, shadow, noise, corners }, 77);
    const found = canopyCover(picture, corners);
    expect(Math.abs((found?.percent ?? Number.NaN) - truth)).toBeLessThanOrEqual(2);
    expect(found?.isOneClass).toBe(false);
  },
);

test('bare soil is none, a closed canopy is all; there is nothing to part', () => {
  const bare = drawn({ cover: 0, shadow: 0.5, noise: 12, corners: STRAIGHT }, 3);
  const full = drawn({ cover: 1, shadow: 0.5, noise: 12, corners: STRAIGHT }, 4);
  const [none, all] = [canopyCover(bare.picture, STRAIGHT), canopyCover(full.picture, STRAIGHT)];
  expect([none?.isOneClass, all?.isOneClass]).toEqual([true, true]);
  expect(none?.percent).toBeLessThan(2);
  expect(all?.percent).toBeGreaterThan(98);
});

test('the mask is what is counted, and a higher threshold never finds more', () => {
  const { picture } = drawn({ cover: 0.4, shadow: 0.6, noise: 8, corners: TILTED }, 9);
  const found = canopyCover(picture, TILTED);
  if (!found) throw new Error('there must be a cover');
  expect((100 * found.mask.reduce((sum, bit) => sum + bit, 0)) / found.mask.length).toBeCloseTo(
    found.percent,
    9,
  );
  const at = (threshold: number): number =>
    canopyCover(picture, TILTED, threshold)?.percent ?? Number.NaN;
  const [low, middle, high] = [
    at(found.threshold - 0.2),
    at(found.threshold),
    at(found.threshold + 0.2),
  ];
  expect([low >= middle, middle >= high, middle]).toEqual([true, true, found.percent]);
});

test('corners on a line, or crossed, make no frame', () => {
  const { picture } = drawn({ cover: 0.4, shadow: 1, noise: 0, corners: STRAIGHT }, 9);
  const [a, b, c, d] = STRAIGHT;
  expect([
    canopyCover(picture, [a, b, d, c]),
    canopyCover(picture, [a, b, { x: 300, y: 33 }, { x: 70, y: 34 }]),
  ]).toEqual([undefined, undefined]);
});

test('the corners of the square go to the corners of the frame, and its middle between its diagonals', () => {
  const point = fc.record({
    x: fc.integer({ min: 0, max: 120 }),
    y: fc.integer({ min: 0, max: 120 }),
  });
  fc.assert(
    fc.property(point, point, point, point, (a, b, c, d) => {
      const corners: Corners = [
        a,
        { x: 600 + b.x, y: b.y },
        { x: 600 + c.x, y: 500 + c.y },
        { x: d.x, y: 500 + d.y },
      ];
      const map = squareToQuad(corners);
      const seen = [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ].map(([u = 0, v = 0]) => map?.at(u, v));
      seen.forEach((found, i) => {
        expect(
          Math.hypot(
            (found?.x ?? 1e9) - (corners[i]?.x ?? 0),
            (found?.y ?? 1e9) - (corners[i]?.y ?? 0),
          ),
        ).toBeLessThan(1e-6);
      });
    }),
  );
});

// Two spikes of 100 and 300: any cut between them parts them; by hand.
test('Otsu cuts between two spikes', () => {
  const histogram = Array.from({ length: 10 }, (_, bin) => (bin === 2 ? 100 : bin === 7 ? 300 : 0));
  expect(otsu(histogram)).toEqual({ threshold: 3, lowMean: 2, highMean: 7 });
});

test('of a leaf that lies on paper, the brown is counted, not the paper; and the ground by itself is no leaf', () => {
  const [width, height] = [400, 300];
  const rgba = new Uint8ClampedArray(4 * width * height);
  // Paper; a leaf of 200 by 150 in the middle, its left quarter brown, half of it in shade.
  for (let i = 0; i < width * height; i++) {
    const [x, y] = [i % width, floor(i / width)];
    const isLeaf = x >= 100 && x < 300 && y >= 75 && y < 225;
    const light = y < 150 ? 1 : 0.6;
    const colour = !isLeaf ? [235, 235, 230] : x < 150 ? [150, 110, 50] : [60, 120, 40];
    rgba.set([...colour.map(each => light * each), 255], 4 * i);
  }
  const whole: Corners = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  const found = browning({ width, height, rgba }, whole);
  expect(found?.percent).toBeCloseTo(25, 0);
  expect(found?.mask.filter(kind => kind !== 0)).toHaveLength((800 * 800) / 4);
  expect(browning({ width, height, rgba }, whole, 0.5)?.percent).toBe(0);
  expect(
    browning({ width: 10, height: 10, rgba: new Uint8ClampedArray(400).fill(255) }, [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 10 },
      { x: 0, y: 10 },
    ]),
  ).toBeUndefined();
});
