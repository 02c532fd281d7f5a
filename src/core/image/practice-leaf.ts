import { seededRandom } from '@/core/stats/distributions/seeded-random';

/** A drawn leaf with spots of which it is known how much they cover. */
export interface PracticeLeaf {
  /** Half its length and half its width; its middle is 0, 0. */
  readonly halfLength: number;
  readonly halfWidth: number;
  readonly spots: readonly { readonly x: number; readonly y: number; readonly r: number }[];
  /** What the spots cover, in percent of the leaf: reckoned from the circles, which neither touch nor leave it. */
  readonly percent: number;
}

const [HALF_LENGTH, HALF_WIDTH] = [100, 55];
const LEAF = Math.PI * HALF_LENGTH * HALF_WIDTH;
const TRIES = 4000;
// Few spots are rarer than many in a garden's first weeks, and harder to tell apart.
const SHARES = [1, 2, 4, 7, 11, 16, 22, 30] as const;

/** As many leaves as there are shares to know, in an order of their own. */
export function practiceLeaves(seed: number): readonly PracticeLeaf[] {
  const random = seededRandom(seed);
  return [...SHARES]
    .map(share => ({ share, at: random.share() }))
    .sort((a, b) => a.at - b.at)
    .map(({ share }) => leafWith(share * (0.8 + 0.4 * random.share()), () => random.share()));
}

const CARD_SHARES = [1, 5, 10, 20, 30] as const;
const CARD_SEED = 5;

/** The picture card to hold a leaf against: always the same five, from hardly any spots to many. */
export function cardLeaves(): readonly PracticeLeaf[] {
  const random = seededRandom(CARD_SEED);
  return CARD_SHARES.map(share => leafWith(share, () => random.share()));
}

/** Spots are put down wherever they find room, until about so much is covered. */
function leafWith(percent: number, next: () => number): PracticeLeaf {
  const spots: { x: number; y: number; r: number }[] = [];
  let covered = 0;
  for (let i = 0; i < TRIES && covered < (percent / 100) * LEAF; i++) {
    const left = (percent / 100) * LEAF - covered;
    const r = Math.max(1.5, Math.min(2 + 9 * next(), Math.sqrt(left / Math.PI)));
    const spot = { x: (2 * next() - 1) * HALF_LENGTH, y: (2 * next() - 1) * HALF_WIDTH, r };
    if (!isInside(spot) || spots.some(other => isNear(spot, other))) continue;
    spots.push(spot);
    covered += Math.PI * r * r;
  }
  return {
    halfLength: HALF_LENGTH,
    halfWidth: HALF_WIDTH,
    spots,
    percent: (100 * covered) / LEAF,
  };
}

/** Inside the leaf drawn smaller by the spot's radius: then all of the spot is inside. */
function isInside({ x, y, r }: PracticeLeaf['spots'][number]): boolean {
  return (x / (HALF_LENGTH - 2 * r)) ** 2 + (y / (HALF_WIDTH - 2 * r)) ** 2 <= 1;
}

function isNear(a: PracticeLeaf['spots'][number], b: PracticeLeaf['spots'][number]): boolean {
  return Math.hypot(a.x - b.x, a.y - b.y) < a.r + b.r + 0.5;
}

/** How somebody reads leaves: too high or too low on average, and how far a single reading is from that. */
export interface EyeError {
  readonly leaves: number;
  /** Points of percent; above zero: too high. */
  readonly bias: number;
  /** Standard deviation of single readings about that; null of fewer than two. */
  readonly sd: number | null;
}

export function eyeError(
  read: readonly { readonly said: number; readonly percent: number }[],
): EyeError | undefined {
  if (read.length === 0) return undefined;
  const errors = read.map(({ said, percent }) => said - percent);
  const bias = errors.reduce((sum, each) => sum + each, 0) / errors.length;
  const squares = errors.reduce((sum, each) => sum + (each - bias) ** 2, 0);
  return {
    leaves: read.length,
    bias,
    sd: read.length < 2 ? null : Math.sqrt(squares / (read.length - 1)),
  };
}

export function eyeErrorWords({ leaves, bias, sd }: EyeError): string {
  const points = (value: number): string => `${Number(Math.abs(value).toPrecision(2))} points`;
  const lean =
    Math.abs(bias) < 0.5
      ? 'On average you read it as it is'
      : `On average you read ${points(bias)} too ${bias > 0 ? 'high' : 'low'}`;
  const spread = sd === null ? '' : `, and a single reading is off by ±${points(sd)} beside that`;
  return `${leaves} leaves: ${lean.charAt(0).toLowerCase()}${lean.slice(1)}${spread}. ${adviceFor(bias, sd ?? 0)}`;
}

/** The bounds are common practice, no source. */
function adviceFor(bias: number, sd: number): string {
  if (Math.abs(bias) >= 5)
    return 'Too high or too low for all pots alike spoils nothing, if one person reads all.';
  if (sd >= 5) return 'Read more leaves of each plant, or practise once more.';
  return 'That is sure enough for leaf spot.';
}
