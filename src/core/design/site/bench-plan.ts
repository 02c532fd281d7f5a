import { blindCodes } from '@/core/design/layouts/blind-codes';
import type { RaisedPlant } from '@/core/design/layouts/choose-plants';
import {
  DEAL_METHOD_VERSION,
  type DealtUnit,
  deal,
  dealBalanced,
} from '@/core/design/layouts/deal';
import { dealPlanOf, type LayoutRequest } from '@/core/design/layouts/deal-plan';
import { BLANK_SITE } from '@/core/trial/model/blank-facts';
import { BlockId, PlaceId, UnitId } from '@/core/trial/model/ids';
import type { Layout } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';
import type { Treatment } from '@/core/trial/model/treatment';
import type { Block, ExperimentalUnit } from '@/core/trial/model/unit';

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

/** A deal standing on a bench: the place tree, the blocks and the units in them. */
export interface LaidOutBench {
  readonly layout: Layout;
  readonly places: readonly Place[];
  readonly blocks: readonly Block[];
  readonly units: readonly ExperimentalUnit[];
}

const LONGEST_ROW = 8;
const GAP = 0.25; // of a unit's width, between neighbours and at the edge
const HALF_GAP = 0; // two halves of one plot touch
const PATH_MM = 600; // between two benches, to walk
const SHELF_GAP = 0.45; // between blocks, so that they are seen as such
// Short blocks stand two beside each other: the bench is then about as deep as it is wide.
const SHORT_ROW = 5;
const MANY_SHELVES = 4;
/** A deal as even in start sizes as one in twenty. */
const BALANCED_SHARE = 0.05;

/**
 * Deals treatments out and stands the units on a bench, block by block, each in rows of at most eight (a square's rows
 * are its own; a bed's units stand together). The same plan and seed always give the same bench; only the ids differ.
 *
 * @param newId makes UUIDv7s
 */
export function layOutBench(plan: BenchPlan, newId: () => string): LaidOutBench {
  const dealPlan = dealPlanOf(plan, plan.treatments);
  const balanced =
    plan.plants &&
    dealBalanced(
      dealPlan,
      plan.seed,
      plan.plants.map(plant => plant.size),
      BALANCED_SHARE,
    );
  const dealt = balanced?.dealt ?? deal(dealPlan, plan.seed);
  const codes = blindCodes(dealt.length, plan.seed);
  const hasBlocks = plan.kind !== 'complete-randomisation';
  const names = Array.from(
    { length: hasBlocks ? Math.max(...dealt.map(unit => unit.block)) + 1 : 1 },
    (_, i) => (hasBlocks ? `${plan.blockWord} ${i + 1}` : 'bench'),
  );
  const upright = standsOf(plan, dealt, names.length);
  const stands = plan.isTurned ? turned(upright) : upright;
  const ground = placeOf(newId, {
    parentId: null,
    kind: 'bench',
    name: stands.benches.length > 1 ? 'ground' : 'bench',
    shape: 'square',
    xMm: 0,
    yMm: 0,
    widthMm: stands.widthMm,
    depthMm: stands.depthMm,
  });
  const benches =
    stands.benches.length > 1
      ? stands.benches.map((at, i) =>
          placeOf(newId, {
            ...at,
            parentId: ground.id,
            kind: 'bench',
            name: `bench ${i + 1}`,
            shape: 'square',
          }),
        )
      : [];
  const benchOf = (shelf: number): Place =>
    benches[Math.floor(shelf / shelvesOnEach(names.length, stands.benches.length))] ?? ground;
  const shelves = names.map((name, i) =>
    placeOf(newId, {
      ...stands.shelves[i]!,
      parentId: benchOf(i).id,
      kind: plan.kind === 'several-gardens' ? 'garden' : 'shelf',
      name,
      shape: 'square',
    }),
  );
  const beds = stands.beds.map((bed, i) =>
    placeOf(newId, {
      ...bed.at,
      parentId: shelves[bed.block]?.id ?? ground.id,
      kind: 'bed',
      name: `${plan.wholeWord ?? 'bed'} ${i + 1}`,
      shape: 'square',
    }),
  );
  const blocks: readonly Block[] = hasBlocks
    ? shelves.map((shelf, position) => ({
        id: BlockId.parse(newId()),
        name: String(position + 1),
        position,
        placeId: shelf.id,
      }))
    : [];
  const stood = dealt.map((unit, position) => {
    const code = codes[position] ?? '';
    const bed = plan.kind === 'split-plot' ? beds[unit.wholePlot] : undefined;
    const pot = placeOf(newId, {
      ...stands.units[position]!,
      parentId: bed?.id ?? shelves[unit.block]?.id ?? ground.id,
      kind: plan.unitShape === 'round' ? 'pot' : 'plot',
      name: code,
      shape: plan.unitShape,
    });
    const treatmentId = plan.treatments[unit.treatment]?.id;
    if (!treatmentId)
      throw new RangeError(`a dealt treatment must be one of the plan's, got ${unit.treatment}`);
    return {
      pot,
      unit: {
        id: UnitId.parse(newId()),
        code,
        placeId: pot.id,
        blockId: blocks[unit.block]?.id ?? null,
        treatmentId,
        position,
        column: plan.kind === 'latin-square' ? unit.column : null,
        wholePlot: bed?.name ?? null,
        startSize: plan.plants?.[position]?.size ?? null,
        plant: plan.plants?.[position]?.number ?? null,
        traits: {},
      },
    };
  });
  return {
    layout: {
      kind: plan.kind,
      unitsEach: Math.round(dealt.length / plan.treatments.length),
      blockWord: plan.blockWord,
      blockCount: hasBlocks ? names.length : 0,
      seed: plan.seed,
      methodVersion: DEAL_METHOD_VERSION,
      deals: plan.deals,
      columnWord: plan.columnWord,
      wholeWord: plan.wholeWord,
      wholeFactor: plan.wholeFactor,
      perBlock: plan.perBlock,
      controlEach: plan.controlEach,
      mostImbalance: balanced?.mostImbalance ?? null,
      isTurned: plan.isTurned,
      benches: stands.benches.length,
      ...BLANK_SITE,
      raisedSizes: plan.raisedSizes ?? [],
    },
    places: [ground, ...benches, ...shelves, ...beds, ...stood.map(({ pot }) => pot)],
    blocks,
    units: stood.map(({ unit }) => unit),
  };
}

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

function standsOf(plan: BenchPlan, dealt: readonly DealtUnit[], shelves: number): Stands {
  const { unitWidthMm: width, unitDepthMm: depth } = plan;
  const gap = width * (plan.kind === 'pairs' && plan.unitShape === 'square' ? HALF_GAP : GAP);
  const edge = width * GAP;
  const perShelf = Math.max(
    ...Array.from(
      { length: shelves },
      (_, block) => dealt.filter(unit => unit.block === block).length,
    ),
  );
  const shelvesEach = shelvesOnEach(shelves, plan.benches);
  const isSplit = plan.kind === 'split-plot';
  const perBed = isSplit ? dealt.filter(unit => unit.wholePlot === 0).length : 0;
  const bedWidth = perBed * (width + gap) - gap + 2 * edge;
  const bedsPerShelf = isSplit ? perShelf / perBed : 0;
  const rows = isSplit ? 1 : plan.kind === 'latin-square' ? 1 : Math.ceil(perShelf / LONGEST_ROW);
  const perRow = Math.ceil(perShelf / rows); // even rows: nine are five and four, not eight and one
  const inner = (n: number, size: number): number => n * (size + gap) - gap;
  const shelfWidth = isSplit
    ? bedsPerShelf * (bedWidth + edge) + edge
    : inner(perRow, width) + 2 * edge;
  const shelfDepth = (isSplit ? depth + 2 * edge : inner(rows, depth)) + 2 * edge;
  const columns =
    plan.kind !== 'latin-square' && perRow <= SHORT_ROW && shelvesEach >= MANY_SHELVES && !isSplit
      ? 2
      : 1;
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
  const beds = isSplit
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
    const group = isSplit ? unit.wholePlot : unit.block;
    const at = seen.get(group) ?? 0;
    seen.set(group, at + 1);
    const [x, y] = isSplit ? [at, 0] : [at % perRow, Math.floor(at / perRow)];
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
function shelvesOnEach(shelves: number, benches: number): number {
  return Math.ceil(shelves / Math.min(benches, shelves));
}

/** The bench turned by a quarter: rows become columns. A unit keeps its own width and depth. */
function turned(stands: Stands): Stands {
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

function placeOf(newId: () => string, place: Omit<Place, 'id'>): Place {
  return { ...place, id: PlaceId.parse(newId()) };
}
