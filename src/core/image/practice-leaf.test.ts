import fc from 'fast-check';
import { cardLeaves, eyeError, eyeErrorWords, practiceLeaves } from './practice-leaf';

const seeds = fc.integer({ min: 0, max: 2 ** 31 - 1 });

test('what spots cover is what is counted from a fine grid over the leaf', () => {
  for (const leaf of practiceLeaves(7)) {
    let [inLeaf, inSpots] = [0, 0];
    for (let x = -leaf.halfLength; x <= leaf.halfLength; x += 0.8)
      for (let y = -leaf.halfWidth; y <= leaf.halfWidth; y += 0.8) {
        if ((x / leaf.halfLength) ** 2 + (y / leaf.halfWidth) ** 2 > 1) continue;
        inLeaf += 1;
        if (leaf.spots.some(spot => Math.hypot(spot.x - x, spot.y - y) <= spot.r)) inSpots += 1;
      }
    expect(Math.abs((100 * inSpots) / inLeaf - leaf.percent)).toBeLessThan(0.4);
  }
});

test('spots lie inside and apart, from hardly any to nearly a third; the same seed draws the same', () => {
  fc.assert(
    fc.property(seeds, seed => {
      const leaves = practiceLeaves(seed);
      expect(practiceLeaves(seed)).toEqual(leaves);
      const shares = leaves.map(leaf => leaf.percent).sort((a, b) => a - b);
      expect(shares[0]).toBeLessThan(2);
      expect(shares.at(-1)).toBeGreaterThan(20);
      const edges = Array.from({ length: 12 }, (_, k) => (k * Math.PI) / 6);
      const strays = leaves.flatMap(({ spots, halfLength, halfWidth }) =>
        spots.filter(
          ({ x, y, r }, i) =>
            edges.some(
              angle =>
                ((x + r * Math.cos(angle)) / halfLength) ** 2 +
                  ((y + r * Math.sin(angle)) / halfWidth) ** 2 >
                1,
            ) ||
            spots.slice(i + 1).some(other => Math.hypot(x - other.x, y - other.y) <= r + other.r),
        ),
      );
      expect(strays).toEqual([]);
    }),
    { numRuns: 10 },
  );
});

test('the card shows what it says, to half a point', () => {
  const card = cardLeaves();
  expect(card.map(leaf => Math.round(leaf.percent))).toEqual([1, 5, 10, 20, 30]);
});

test('an eye that always reads three points too high leans by three and is sure', () => {
  const read = [1, 5, 20].map(percent => ({ percent, said: percent + 3 }));
  expect(eyeError(read)).toEqual({ leaves: 3, bias: 3, sd: 0 });
  expect(eyeError([])).toBeUndefined();
  expect(eyeError(read.slice(0, 1))?.sd).toBeNull();
});

test.each([
  [
    3,
    2,
    '8 leaves: on average you read 3 points too high, and a single reading is off by ±2 points beside that. That is sure enough for leaf spot.',
  ],
  [
    -8,
    2,
    '8 leaves: on average you read 8 points too low, and a single reading is off by ±2 points beside that. Too high or too low for all pots alike spoils nothing, if one person reads all.',
  ],
  [
    0.2,
    9,
    '8 leaves: on average you read it as it is, and a single reading is off by ±9 points beside that. Read more leaves of each plant, or practise once more.',
  ],
])('a lean of %d with ±%d is said', (bias, sd, says) => {
  expect(eyeErrorWords({ leaves: 8, bias, sd })).toBe(says);
});
