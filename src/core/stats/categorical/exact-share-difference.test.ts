import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { binomialChance } from '@/core/stats/distributions/binomial';
import { exactShareDifferenceInterval, likeliestShares } from './exact-share-difference';

interface Reference {
  readonly ka: number;
  readonly na: number;
  readonly kb: number;
  readonly nb: number;
  readonly confidence: number;
  readonly low: number;
  readonly high: number;
}
const reference: readonly Reference[] = JSON.parse(
  readFileSync('reference/results/exact-shares.json', 'utf8'),
);

// Chan & Zhang (1999) by the definition alone, in R: reference/r/exact-shares.R.
test.each(reference)(
  '$ka of $na against $kb of $nb at $confidence',
  ({ ka, na, kb, nb, confidence, low, high }) => {
    const found = exactShareDifferenceInterval({ k: ka, n: na }, { k: kb, n: nb }, confidence);
    expect(found[0]).toBeCloseTo(low, 3);
    expect(found[1]).toBeCloseTo(high, 3);
  },
);

test.each([
  [3, 3],
  [5, 5],
  [4, 8],
  [7, 6],
])(
  'of %i and %i units it holds the truth in at least 95 of 100 trials, whatever the shares are',
  (na, nb) => {
    const of = (n: number): readonly number[] => Array.from({ length: n + 1 }, (_, k) => k);
    const intervals = of(na).map(ka =>
      of(nb).map(kb => exactShareDifferenceInterval({ k: ka, n: na }, { k: kb, n: nb })),
    );
    for (let a = 0; a <= 20; a++) {
      for (let b = 0; b <= 20; b++) {
        const [pa, pb] = [a / 20, b / 20];
        const held = of(na).reduce(
          (sum, ka) =>
            sum +
            of(nb).reduce((own, kb) => {
              const [low, high] = intervals[ka]![kb]!;
              return low - 1e-9 <= pa - pb && pa - pb <= high + 1e-9
                ? own + binomialChance(ka, na, pa) * binomialChance(kb, nb, pb)
                : own;
            }, 0),
          0,
        );
        expect(held).toBeGreaterThan(0.9499);
      }
    }
  },
);

const share = fc
  .integer({ min: 1, max: 30 })
  .chain(n => fc.integer({ min: 0, max: n }).map(k => ({ k, n })));

test('it holds what was seen, turns round with the two, and is wider the surer it is to be', () => {
  fc.assert(
    fc.property(share, share, (a, b) => {
      const [low, high] = exactShareDifferenceInterval(a, b);
      const seen = a.k / a.n - b.k / b.n;
      expect(low).toBeLessThanOrEqual(seen);
      expect(high).toBeGreaterThanOrEqual(seen);
      const turned = exactShareDifferenceInterval(b, a);
      expect([-turned[1], -turned[0]]).toEqual([low, high]);
      const [wideLow, wideHigh] = exactShareDifferenceInterval(a, b, 0.99);
      expect(wideLow).toBeLessThanOrEqual(low);
      expect(wideHigh).toBeGreaterThanOrEqual(high);
    }),
    { numRuns: 25 },
  );
});

test('no two shares that differ by so much are likelier than those it finds', () => {
  const log = (k: number, p: number): number => (k === 0 ? 0 : k * Math.log(p));
  fc.assert(
    fc.property(
      share,
      share,
      fc.double({ min: -0.98, max: 0.98, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (a, b, difference, at) => {
        const likelihood = (pa: number, pb: number): number =>
          log(a.k, pa) + log(a.n - a.k, 1 - pa) + log(b.k, pb) + log(b.n - b.k, 1 - pb);
        const [pa, pb] = likeliestShares(a, b, difference);
        expect(pa - pb).toBeCloseTo(difference, 9);
        const other = Math.max(0, difference) + at * (1 - Math.abs(difference));
        expect(likelihood(pa, pb)).toBeGreaterThanOrEqual(
          likelihood(Math.min(1, other), Math.max(0, other - difference)) - 1e-6,
        );
      },
    ),
    { numRuns: 400 },
  );
});
