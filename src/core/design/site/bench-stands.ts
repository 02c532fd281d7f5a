import type { DealtUnit } from '@/core/design/layouts/deal';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import type { BenchPlan } from './bench-request';

const LONGEST_ROW = 8;
/** Between neighbours and at the edge, of a unit's width. */
const GAP = 0.25;
/** Two halves of one plot touch. */
const HALF_GAP = 0;
/** Between two benches, to walk. */
const PATH_MM = 600;
/** Between blocks, of a unit's width, so that they are seen as such. */
const SHELF_GAP = 0.45;
// Many short blocks stand two beside each other: the bench is then about as deep as it is wide.
const SHORT_ROW = 5;
const MANY_SHELVES = 4;

/** A place on what it stands on. */
export interface At {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
}

/** Where everything stands: benches on the ground, shelves on their bench, beds on their shelf, units on their bed or shelf. */
export interface Stands {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly benches: readonly At[];
  readonly shelves: readonly At[];
  readonly beds: readonly { readonly block: number; readonly at: At }[];
  readonly units: readonly At[];
}

/** @param shelves how many there are, one a block */
export function standsOf(plan: BenchPlan, dealt: readonly DealtUnit[], shelves: number): Stands {
  const sizes = shelfSizesOf(plan, dealt, shelves);
  const benches = benchesOf(plan, sizes, shelves);
  const last = benches.at(-1)!;
  return {
    widthMm: last.xMm + last.widthMm,
    depthMm: last.yMm + last.depthMm,
    benches,
    shelves: shelvesAt(plan, sizes, shelves),
    beds: bedsAt(plan, sizes, shelves),
    units: unitsAt(plan, sizes, dealt),
  };
}

/** What a shelf must hold, and how big that makes it. */
interface ShelfSizes {
  readonly gap: number;
  readonly edge: number;
  /** Units in the longest row of a shelf. */
  readonly perRow: number;
  readonly bedsPerShelf: number;
  readonly bedWidth: number;
  readonly shelfWidth: number;
  readonly shelfDepth: number;
}

function shelfSizesOf(
  { kind, unitShape, unitWidthMm: width, unitDepthMm: depth }: BenchPlan,
  dealt: readonly DealtUnit[],
  shelves: number,
): ShelfSizes {
  const { isPaired, hasColumns, hasWholePlots } = LAYOUTS[kind];
  const gap = width * (isPaired && unitShape === 'square' ? HALF_GAP : GAP);
  const edge = width * GAP;
  const onShelf = (shelf: number): number => dealt.filter(unit => unit.block === shelf).length;
  const perShelf = Math.max(...Array.from({ length: shelves }, (_, shelf) => onShelf(shelf)));
  const inner = (n: number, size: number): number => n * (size + gap) - gap;
  if (hasWholePlots) {
    const perBed = dealt.filter(unit => unit.wholePlot === 0).length;
    const bedWidth = inner(perBed, width) + 2 * edge;
    const bedsPerShelf = perShelf / perBed;
    const shelfWidth = bedsPerShelf * (bedWidth + edge) + edge;
    const shelfDepth = depth + 4 * edge;
    return { gap, edge, perRow: perShelf, bedsPerShelf, bedWidth, shelfWidth, shelfDepth };
  }
  const rows = hasColumns ? 1 : Math.ceil(perShelf / LONGEST_ROW);
  const perRow = Math.ceil(perShelf / rows); // even rows: nine are five and four, not eight and one
  const shelfWidth = inner(perRow, width) + 2 * edge;
  const shelfDepth = inner(rows, depth) + 2 * edge;
  return { gap, edge, perRow, bedsPerShelf: 0, bedWidth: 0, shelfWidth, shelfDepth };
}

/** How many shelves stand beside each other on a bench. */
function shelfColumns(
  { kind, benches }: BenchPlan,
  { perRow }: ShelfSizes,
  shelves: number,
): number {
  const { hasColumns, hasWholePlots } = LAYOUTS[kind];
  if (hasColumns || hasWholePlots) return 1;
  return perRow <= SHORT_ROW && shelvesOnEach(shelves, benches) >= MANY_SHELVES ? 2 : 1;
}

function benchesOf(plan: BenchPlan, sizes: ShelfSizes, shelves: number): readonly At[] {
  const { shelfWidth, shelfDepth } = sizes;
  const shelfGap = plan.unitWidthMm * SHELF_GAP;
  const shelvesEach = shelvesOnEach(shelves, plan.benches);
  const columns = shelfColumns(plan, sizes, shelves);
  const rows = Math.ceil(shelvesEach / columns);
  const widthMm = columns * shelfWidth + (columns - 1) * shelfGap;
  const depthMm = rows * shelfDepth + (rows - 1) * shelfGap;
  const isBeside = depthMm > widthMm; // deep benches stand beside each other, wide ones behind
  const [stepX, stepY] = isBeside ? [widthMm + PATH_MM, 0] : [0, depthMm + PATH_MM];
  return Array.from({ length: Math.ceil(shelves / shelvesEach) }, (_, i) => ({
    xMm: i * stepX,
    yMm: i * stepY,
    widthMm,
    depthMm,
  }));
}

function shelvesAt(plan: BenchPlan, sizes: ShelfSizes, shelves: number): readonly At[] {
  const { shelfWidth, shelfDepth } = sizes;
  const shelfGap = plan.unitWidthMm * SHELF_GAP;
  const shelvesEach = shelvesOnEach(shelves, plan.benches);
  const columns = shelfColumns(plan, sizes, shelves);
  return Array.from({ length: shelves }, (_, i) => {
    const onBench = i % shelvesEach;
    return {
      xMm: (onBench % columns) * (shelfWidth + shelfGap),
      yMm: Math.floor(onBench / columns) * (shelfDepth + shelfGap),
      widthMm: shelfWidth,
      depthMm: shelfDepth,
    };
  });
}

function bedsAt(
  { unitDepthMm }: BenchPlan,
  { edge, bedsPerShelf, bedWidth }: ShelfSizes,
  shelves: number,
): Stands['beds'] {
  return Array.from({ length: shelves * bedsPerShelf }, (_, bed) => ({
    block: Math.floor(bed / bedsPerShelf),
    at: {
      xMm: edge + (bed % bedsPerShelf) * (bedWidth + edge),
      yMm: edge,
      widthMm: bedWidth,
      depthMm: unitDepthMm + 2 * edge,
    },
  }));
}

function unitsAt(
  { kind, unitWidthMm: widthMm, unitDepthMm: depthMm }: BenchPlan,
  { gap, edge, perRow }: ShelfSizes,
  dealt: readonly DealtUnit[],
): readonly At[] {
  const { hasWholePlots } = LAYOUTS[kind];
  const seen = new Map<number, number>();
  return dealt.map(unit => {
    const group = hasWholePlots ? unit.wholePlot : unit.block;
    const at = seen.get(group) ?? 0;
    seen.set(group, at + 1);
    const [x, y] = hasWholePlots ? [at, 0] : [at % perRow, Math.floor(at / perRow)];
    return {
      xMm: edge + x * (widthMm + gap),
      yMm: edge + y * (depthMm + gap),
      widthMm,
      depthMm,
    };
  });
}

/** Shelves on each of so many benches; the last may hold fewer. */
export function shelvesOnEach(shelves: number, benches: number): number {
  return Math.ceil(shelves / Math.min(benches, shelves));
}

/** The bench turned by a quarter: rows become columns. A unit keeps its own width and depth. */
export function turned(stands: Stands): Stands {
  const swap = ({ xMm, yMm, widthMm, depthMm }: At): At => ({
    xMm: yMm,
    yMm: xMm,
    widthMm: depthMm,
    depthMm: widthMm,
  });
  return {
    widthMm: stands.depthMm,
    depthMm: stands.widthMm,
    benches: stands.benches.map(swap),
    shelves: stands.shelves.map(swap),
    beds: stands.beds.map(bed => ({ ...bed, at: swap(bed.at) })),
    units: stands.units.map(swap),
  };
}
