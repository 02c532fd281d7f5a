import type { RaisedPlant } from '@/core/design/layouts/choose-plants';
import type { DealtUnit } from '@/core/design/layouts/deal';
import type { LayoutRequest } from '@/core/design/layouts/layout-definition';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import type { Place } from '@/core/trial/model/place';
import type { Treatment } from '@/core/trial/model/treatment';

const MANY_SHELVES = 4;
/** A deal as even in start sizes as one in twenty. */
export const BALANCED_SHARE = 0.05;

interface At {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
}

/** Where everything stands: benches on the ground, shelves on their bench, beds on their shelf, units on their bed or shelf. */
interface Stands {
  readonly widthMm: number;
  readonly depthMm: number;
  readonly benches: readonly At[];
  readonly shelves: readonly At[];
  readonly beds: readonly { readonly block: number; readonly at: At }[];
  readonly units: readonly At[];
}

export function standsOf(plan: BenchPlan, dealt: readonly DealtUnit[], shelves: number): Stands {
  const { unitWidthMm: width, unitDepthMm: depth } = plan;
  const { isPaired, hasColumns, hasWholePlots } = LAYOUTS[plan.kind];
  const gap = width * (isPaired && plan.unitShape === 'square' ? HALF_GAP : GAP);
  const edge = width * GAP;
  const perShelf = Math.max(
    ...Array.from(
      { length: shelves },
      (_, block) => dealt.filter(unit => unit.block === block).length,
    ),
  );
  const shelvesEach = shelvesOnEach(shelves, plan.benches);
  const perBed = hasWholePlots ? dealt.filter(unit => unit.wholePlot === 0).length : 0;
  const bedWidth = perBed * (width + gap) - gap + 2 * edge;
  const bedsPerShelf = hasWholePlots ? perShelf / perBed : 0;
  const rows = hasWholePlots || hasColumns ? 1 : Math.ceil(perShelf / LONGEST_ROW);
  const perRow = Math.ceil(perShelf / rows); // even rows: nine are five and four, not eight and one
  const inner = (n: number, size: number): number => n * (size + gap) - gap;
  const shelfWidth = hasWholePlots
    ? bedsPerShelf * (bedWidth + edge) + edge
    : inner(perRow, width) + 2 * edge;
  const shelfDepth = (hasWholePlots ? depth + 2 * edge : inner(rows, depth)) + 2 * edge;
  const columns =
    !hasColumns && perRow <= SHORT_ROW && shelvesEach >= MANY_SHELVES && !hasWholePlots ? 2 : 1;
  const shelfGap = width * SHELF_GAP;
  const shelfRows = Math.ceil(shelvesEach / columns);
  const shelfAt = Array.from(
    { length: shelves },
    (_, i): At => ({
      xMm: ((i % shelvesEach) % columns) * (shelfWidth + shelfGap),
      yMm: Math.floor((i % shelvesEach) / columns) * (shelfDepth + shelfGap),
      widthMm: shelfWidth,
      depthMm: shelfDepth,
    }),
  );
  const [benchWidth, benchDepth] = [
    columns * shelfWidth + (columns - 1) * shelfGap,
    shelfRows * shelfDepth + (shelfRows - 1) * shelfGap,
  ];
  const isBeside = benchDepth > benchWidth; // deep benches stand beside each other, wide ones behind
  const [stepX, stepY] = isBeside ? [benchWidth + PATH_MM, 0] : [0, benchDepth + PATH_MM];
  const benches = Array.from(
    { length: Math.ceil(shelves / shelvesEach) },
    (_, i): At => ({ xMm: i * stepX, yMm: i * stepY, widthMm: benchWidth, depthMm: benchDepth }),
  );
  const beds = hasWholePlots
    ? Array.from({ length: shelves * bedsPerShelf }, (_, bed) => ({
        block: Math.floor(bed / bedsPerShelf),
        at: {
          xMm: edge + (bed % bedsPerShelf) * (bedWidth + edge),
          yMm: edge,
          widthMm: bedWidth,
          depthMm: depth + 2 * edge,
        },
      }))
    : [];
  const seen = new Map<number, number>();
  const units = dealt.map((unit): At => {
    const group = hasWholePlots ? unit.wholePlot : unit.block;
    const at = seen.get(group) ?? 0;
    seen.set(group, at + 1);
    const [x, y] = hasWholePlots ? [at, 0] : [at % perRow, Math.floor(at / perRow)];
    return {
      xMm: edge + x * (width + gap),
      yMm: edge + y * (depth + gap),
      widthMm: width,
      depthMm: depth,
    };
  });
  return {
    widthMm: (benches.length - 1) * stepX + benchWidth,
    depthMm: (benches.length - 1) * stepY + benchDepth,
    benches,
    shelves: shelfAt,
    beds,
    units,
  };
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

/** What is to be laid out, and how big a unit is. */
export interface BenchPlan extends LayoutRequest {
  /** In their order. */
  readonly treatments: readonly Treatment[];
  readonly unitWord: string;
  readonly unitShape: Place['shape'];
  /** Across and front to back, > 0. */
  readonly unitWidthMm: number;
  readonly unitDepthMm: number;
  readonly seed: number;
  /** How often this plan has been dealt, this time included. */
  readonly deals: number;
  /** One entry a unit, in the order of their places, where the deal is to be balanced by their sizes. */
  readonly plants?: readonly RaisedPlant[] | undefined;
  /** Of all that were raised, in their order. */
  readonly raisedSizes?: readonly number[] | undefined;
}

export const LONGEST_ROW = 8;
export const GAP = 0.25;
// of a unit's width, between neighbours and at the edge
export const HALF_GAP = 0;
// two halves of one plot touch
export const PATH_MM = 600;
// between two benches, to walk
export const SHELF_GAP = 0.45;
// between blocks, so that they are seen as such
// Short blocks stand two beside each other: the bench is then about as deep as it is wide.
export const SHORT_ROW = 5;
