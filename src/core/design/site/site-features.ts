import type { SiteFeature } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';

/** What a feature of the site is called on screen. */
export const SITE_WORDS: Readonly<Record<SiteFeature['kind'], string>> = {
  slope: 'slope, high',
  light: 'light',
  wall: 'wall',
  fence: 'fence',
  tap: 'tap',
  traffic: 'foot traffic',
};

const REACH = 0.3; // of the bench, where nothing else is said
// Of the bench: how far beside it each is drawn until it is put where it is; none on another.
const ASIDE: Readonly<Record<SiteFeature['kind'], number>> = {
  slope: 0,
  light: 0,
  tap: 0.08,
  wall: 0.13,
  fence: 0.18,
  traffic: 0.23,
};

/** Whether a feature is something that stands or runs somewhere; otherwise it changes evenly from side to side. */
export function isLine({ kind }: Pick<SiteFeature, 'kind'>): boolean {
  return kind !== 'slope' && kind !== 'light';
}

/** Where a wall, fence, path or tap is, in mm from the far left corner; along its side where nothing was said. */
export function lineOf(
  { kind, side, line }: SiteFeature,
  { widthMm, depthMm }: Pick<Place, 'widthMm' | 'depthMm'>,
): NonNullable<SiteFeature['line']> {
  if (line) return line;
  const [a, b] = kind === 'tap' ? [0.85, 0.85] : [0, 1];
  const aside = ASIDE[kind] * Math.max(widthMm, depthMm);
  if (side === 'left' || side === 'right') {
    const x = side === 'left' ? -aside : widthMm + aside;
    return { x1Mm: x, y1Mm: a * depthMm, x2Mm: x, y2Mm: b * depthMm };
  }
  const y = side === 'far' ? -aside : depthMm + aside;
  return { x1Mm: a * widthMm, y1Mm: y, x2Mm: b * widthMm, y2Mm: y };
}

/** 1 where a feature is strongest, 0 where it is not felt. Slope and light change evenly over the bench; the rest fades with distance. */
export function strengthAt(
  feature: SiteFeature,
  xMm: number,
  yMm: number,
  bench: Pick<Place, 'widthMm' | 'depthMm'>,
): number {
  const { side } = feature;
  const isAcross = side === 'left' || side === 'right';
  if (isLine(feature))
    return Math.exp(
      -distanceTo(lineOf(feature, bench), xMm, yMm) /
        (feature.reachMm ?? REACH * (isAcross ? bench.widthMm : bench.depthMm)),
    );
  const along = isAcross ? xMm / bench.widthMm : yMm / bench.depthMm;
  return side === 'left' || side === 'far' ? 1 - along : along;
}

/** From a point to the nearest point of a line between two ends. */
function distanceTo(
  { x1Mm, y1Mm, x2Mm, y2Mm }: NonNullable<SiteFeature['line']>,
  xMm: number,
  yMm: number,
): number {
  const [dx, dy] = [x2Mm - x1Mm, y2Mm - y1Mm];
  const length = dx * dx + dy * dy;
  const along =
    length === 0 ? 0 : Math.min(1, Math.max(0, ((xMm - x1Mm) * dx + (yMm - y1Mm) * dy) / length));
  return Math.hypot(xMm - x1Mm - along * dx, yMm - y1Mm - along * dy);
}
