/** A point in a picture, in pixels from its far left corner. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** The four corners of a frame as they lie in the picture: far left, far right, near right, near left. */
export type Corners = readonly [Point, Point, Point, Point];

/** A map of the unit square onto a picture: x' = (a x + b y + c) / (g x + h y + 1), y' likewise. */
export interface Homography {
  readonly at: (u: number, v: number) => Point;
}

/**
 * The projective map from the unit square to a frame seen at a slant; undefined where its corners lie on a line or cross.
 * Heckbert (1989), Fundamentals of Texture Mapping and Image Warping, section 2.2.3.
 */
export function squareToQuad([p0, p1, p2, p3]: Corners): Homography | undefined {
  if (!isConvex([p0, p1, p2, p3])) return undefined;
  const [dx1, dx2, dx3] = [p1.x - p2.x, p3.x - p2.x, p0.x - p1.x + p2.x - p3.x];
  const [dy1, dy2, dy3] = [p1.y - p2.y, p3.y - p2.y, p0.y - p1.y + p2.y - p3.y];
  const determinant = dx1 * dy2 - dx2 * dy1;
  const g = (dx3 * dy2 - dx2 * dy3) / determinant;
  const h = (dx1 * dy3 - dx3 * dy1) / determinant;
  const [a, b, c] = [p1.x - p0.x + g * p1.x, p3.x - p0.x + h * p3.x, p0.x];
  const [d, e, f] = [p1.y - p0.y + g * p1.y, p3.y - p0.y + h * p3.y, p0.y];
  return {
    at: (u, v) => {
      const w = g * u + h * v + 1;
      return { x: (a * u + b * v + c) / w, y: (d * u + e * v + f) / w };
    },
  };
}

/** All four turns go the same way, none of them nearly straight. */
function isConvex(corners: Corners): boolean {
  const turns = corners.map((p, i) => {
    const [q, r] = [corners[(i + 1) % 4] ?? p, corners[(i + 2) % 4] ?? p];
    const [ax, ay, bx, by] = [q.x - p.x, q.y - p.y, r.x - q.x, r.y - q.y];
    return (ax * by - ay * bx) / (Math.hypot(ax, ay) * Math.hypot(bx, by) || 1);
  });
  return turns.every(turn => turn > 0.05) || turns.every(turn => turn < -0.05);
}
