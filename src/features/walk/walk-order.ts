/** In which order a walk goes round. */
export type WalkOrder = 'bench' | 'random';

/** A stop of a walk: one part of one unit, for one measure. */
export interface Stop {
  readonly unitId: string;
  /** `1` to the number of parts; empty where the unit is read whole. */
  readonly part: string;
}

/** The stops of a walk for a measure: all parts of a unit in a row. Random is the same all day, so that a page loaded anew goes on. */
export function stopsOf(
  unitIds: readonly string[],
  parts: number,
  order: WalkOrder,
  day: string,
): readonly Stop[] {
  const ids = order === 'bench' ? unitIds : shuffledBy(unitIds, day);
  return ids.flatMap(unitId =>
    parts === 1
      ? [{ unitId, part: '' }]
      : Array.from({ length: parts }, (_, i) => ({ unitId, part: String(i + 1) })),
  );
}

/** The next stop after one that has nothing yet, going round once; undefined where all are done. */
export function nextOpen(
  stops: readonly Stop[],
  from: number,
  isDone: (stop: Stop) => boolean,
): number | undefined {
  for (let step = 1; step <= stops.length; step++) {
    const at = (from + step) % stops.length;
    const stop = stops[at];
    if (stop && !isDone(stop)) return at;
  }
  return undefined;
}

/** A fifth of the units, at least three, for reading a second time: by a shuffle of their own. */
export function unitsToRepeat(unitIds: readonly string[], day: string): readonly string[] {
  return shuffledBy(unitIds, `again ${day}`).slice(
    0,
    Math.min(unitIds.length, Math.max(3, Math.ceil(unitIds.length / 5))),
  );
}

function shuffledBy(ids: readonly string[], salt: string): readonly string[] {
  return [...ids].sort((a, b) => hashOf(a + salt) - hashOf(b + salt) || (a < b ? -1 : 1));
}

/** FNV-1a, 32 bit: enough to shuffle a walk by. */
function hashOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++)
    hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return hash;
}
