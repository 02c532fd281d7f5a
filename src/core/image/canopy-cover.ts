import { type Corners, squareToQuad } from './homography';
import { otsu } from './otsu';

/** A picture's pixels: red, green, blue and opacity of each, row by row from the far left. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8ClampedArray;
}

/** How much of a frame is green, or of a leaf brown, with what it rests on. */
export interface CanopyCover {
  readonly percent: number;
  /** How far the percentage goes when the threshold is moved by a tenth of the way between the two classes. */
  readonly errorPercent: number;
  /** 1 where it counts, 2 where it is leaf that does not, row by row; `side` by `side`. It can be looked at, and corrected by moving the threshold. */
  readonly mask: Uint8Array;
  readonly side: number;
  /** Excess green from which a point counts as green; redness from which it counts as brown. */
  readonly threshold: number;
  /** The whole frame is one or the other: there is nothing to part. */
  readonly isOneClass: boolean;
}

const SIDE = 800; // 640,000 points: a percent is 6,400 of them
const BINS = 256;
const LEAST_APART = 0.12; // closer means of excess green are one class with its own spread
const GREEN_FROM = 0.15; // of one class alone: above, it is leaf

/**
 * Share of a marked frame that is green: the frame is set square, each point's excess green 2g − r − b of its chromatic
 * coordinates taken (which a shadow leaves as they are), and parted by Otsu's threshold.
 * Woebbecke, Meyer, Von Bargen & Mortensen (1995), Transactions of the ASAE 38, 259-269.
 *
 * @param threshold null: by Otsu; a number: as the gardener moved it
 * @returns undefined where the corners make no frame
 */
export function canopyCover(
  picture: Picture,
  corners: Corners,
  threshold: number | null = null,
): CanopyCover | undefined {
  const map = squareToQuad(corners);
  if (!map) return undefined;
  const green = new Float32Array(SIDE * SIDE);
  for (let row = 0; row < SIDE; row++) {
    for (let column = 0; column < SIDE; column++) {
      const { x, y } = map.at((column + 0.5) / SIDE, (row + 0.5) / SIDE);
      green[row * SIDE + column] = excessGreen(picture, x, y);
    }
  }
  const smooth = blurred(green);
  const found = parted(smooth);
  const from = threshold ?? found.threshold;
  const mask = new Uint8Array(SIDE * SIDE);
  for (let i = 0; i < mask.length; i++) mask[i] = (smooth[i] ?? 0) >= from ? 1 : 0;
  const step = found.apart / 10;
  const [less, more] = [shareFrom(smooth, from + step), shareFrom(smooth, from - step)];
  return {
    percent: shareFrom(smooth, from),
    errorPercent: found.isOneClass ? 0 : (more - less) / 2,
    mask,
    side: SIDE,
    threshold: from,
    isOneClass: found.isOneClass,
  };
}

function excessGreen({ width, height, rgba }: Picture, x: number, y: number): number {
  const column = within(x, width);
  const row = within(y, height);
  const at = 4 * (row * width + column);
  const [r, g, b] = [rgba[at] ?? 0, rgba[at + 1] ?? 0, rgba[at + 2] ?? 0];
  const sum = r + g + b;
  return sum < 24 ? 0 : (2 * g - r - b) / sum; // what is nearly black has no colour to speak of
}

/** The pixel that a coordinate falls into; outside the picture, its edge. */
function within(at: number, size: number): number {
  const pixel = at | 0;
  return pixel < 0 ? 0 : pixel >= size ? size - 1 : pixel;
}

/** Means of three by three points: a camera's noise is finer than a leaf. */
function blurred(values: Float32Array): Float32Array {
  const across = new Float32Array(values.length);
  const both = new Float32Array(values.length);
  for (let i = 0; i < values.length; i++) {
    const column = i % SIDE;
    across[i] =
      ((values[column === 0 ? i : i - 1] ?? 0) +
        (values[i] ?? 0) +
        (values[column === SIDE - 1 ? i : i + 1] ?? 0)) /
      3;
  }
  for (let i = 0; i < values.length; i++)
    both[i] =
      ((across[i < SIDE ? i : i - SIDE] ?? 0) +
        (across[i] ?? 0) +
        (across[i >= values.length - SIDE ? i : i + SIDE] ?? 0)) /
      3;
  return both;
}

interface Parted {
  readonly threshold: number;
  readonly apart: number;
  readonly isOneClass: boolean;
}

function parted(values: Float32Array): Parted {
  const histogram = new Uint32Array(BINS);
  const binOf = (value: number): number =>
    Math.min(BINS - 1, Math.max(0, Math.floor((value + 1) * (BINS / 3)))); // excess green lies between −1 and 2
  for (const value of values) histogram[binOf(value)] = (histogram[binOf(value)] ?? 0) + 1;
  const valueAt = (bin: number): number => (bin * 3) / BINS - 1;
  const { lowMean, highMean } = otsu(histogram);
  const [low, high] = [valueAt(lowMean + 0.5), valueAt(highMean + 0.5)];
  if (high - low < LEAST_APART) return { threshold: GREEN_FROM, apart: 0, isOneClass: true };
  // Otsu leans towards the larger class; the middle between the two means does not.
  return { threshold: (low + high) / 2, apart: high - low, isOneClass: false };
}

function shareFrom(values: Float32Array, from: number): number {
  let count = 0;
  for (const value of values) if (value >= from) count += 1;
  return (100 * count) / values.length;
}

/** How red a point must be against green to count as brown: where it is neither. */
const BROWN_FROM = 0;
const LEAST_LEAF = 50; // points: fewer are a speck on the lens

/**
 * Share of a leaf that is brown or yellow: the leaf lies on plain white or grey within the frame. What has no colour is
 * ground or its shadow; of the rest, what is at least as red as green is brown (common practice, no source).
 *
 * @param threshold of (r − g)/(r + g + b) from which a point counts as brown; null: where red and green are alike
 * @returns undefined where the corners make no frame, or nothing of colour lies in it
 */
export function browning(
  picture: Picture,
  corners: Corners,
  threshold: number | null = null,
): CanopyCover | undefined {
  const map = squareToQuad(corners);
  if (!map) return undefined;
  const from = threshold ?? BROWN_FROM;
  const mask = new Uint8Array(SIDE * SIDE);
  const counts = { leaf: 0, brown: 0, less: 0, more: 0 };
  for (let i = 0; i < mask.length; i++) {
    const { x, y } = map.at(((i % SIDE) + 0.5) / SIDE, (Math.floor(i / SIDE) + 0.5) / SIDE);
    const red = redness(picture, x, y);
    if (red === undefined) continue;
    counts.leaf += 1;
    if (red >= from) {
      counts.brown += 1;
      mask[i] = 1;
    } else mask[i] = 2;
    if (red >= from + RED_STEP) counts.less += 1;
    if (red >= from - RED_STEP) counts.more += 1;
  }
  if (counts.leaf < LEAST_LEAF) return undefined;
  const percentOf = (count: number): number => (100 * count) / counts.leaf;
  return {
    percent: percentOf(counts.brown),
    errorPercent: percentOf(counts.more - counts.less) / 2,
    mask,
    side: SIDE,
    threshold: from,
    isOneClass: counts.brown === 0 || counts.brown === counts.leaf,
  };
}

const RED_STEP = 0.02;

/** How much more red than green a point of a leaf is; undefined where it has no colour. */
function redness({ width, height, rgba }: Picture, x: number, y: number): number | undefined {
  const at = 4 * (within(y, height) * width + within(x, width));
  const [r, g, b] = [rgba[at] ?? 0, rgba[at + 1] ?? 0, rgba[at + 2] ?? 0];
  const most = Math.max(r, g, b);
  return most < 30 || (most - Math.min(r, g, b)) / most < 0.25 ? undefined : (r - g) / (r + g + b);
}
