import { BlockId, PlaceId, UnitId } from '@/core/trial/ids';
import type { Block, ExperimentalUnit, Layout, Place, Treatment } from '@/core/trial/trial-data';
import { blindCodes, DEAL_METHOD_VERSION, deal } from './deal';

/** What is to be laid out, and how big a pot is. */
export interface BenchPlan {
  readonly kind: Layout['kind'];
  readonly treatments: readonly Treatment[];
  readonly unitsEach: number;
  /** Groups of units alike but for the treatment; ignored in complete randomisation. */
  readonly blockCount: number;
  readonly blockWord: string;
  readonly unitWord: string;
  /** Across, > 0. */
  readonly unitWidthMm: number;
  readonly seed: number;
  /** How often this plan has been dealt, this time included. */
  readonly deals: number;
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
const SHELF_GAP = 0.45; // between blocks, so that they are seen as such
// Short blocks stand two beside each other: the bench is then about as deep as it is wide.
const SHORT_ROW = 5;
const MANY_SHELVES = 4;

/**
 * Deals treatments out and stands the units on a bench, block by block, each in rows of at most eight. The same plan
 * and seed always give the same bench; only the ids differ.
 *
 * @param newId makes UUIDv7s
 */
export function layOutBench(plan: BenchPlan, newId: () => string): LaidOutBench {
  const inBlocks = plan.kind === 'complete-blocks';
  const dealt = deal({
    ...(inBlocks ? { kind: 'complete-blocks', blocks: plan.blockCount } : { kind: 'complete-randomisation' }),
    treatments: plan.treatments.map(treatment => treatment.id), unitsEach: plan.unitsEach,
  }, plan.seed);
  const codes = blindCodes(dealt.length, plan.seed);
  const shelves = inBlocks ? plan.blockCount : 1;
  const perShelf = dealt.length / shelves;
  const size = sizesOf(plan.unitWidthMm, perShelf);
  const columns = size.perRow <= SHORT_ROW && shelves >= MANY_SHELVES ? 2 : 1;
  const rows = Math.ceil(shelves / columns);
  const bench = placeOf(newId, { parentId: null, kind: 'bench', name: 'bench', xMm: 0, yMm: 0, widthMm: columns * size.shelfWidthMm + (columns - 1) * size.shelfGapMm, depthMm: rows * size.shelfDepthMm + (rows - 1) * size.shelfGapMm });
  const shelfPlaces = Array.from({ length: shelves }, (_, i) => placeOf(newId, {
    parentId: bench.id, kind: 'shelf', name: inBlocks ? `${plan.blockWord} ${i + 1}` : 'bench', xMm: (i % columns) * (size.shelfWidthMm + size.shelfGapMm), yMm: Math.floor(i / columns) * (size.shelfDepthMm + size.shelfGapMm), widthMm: size.shelfWidthMm, depthMm: size.shelfDepthMm,
  }));
  const blocks: readonly Block[] = inBlocks
    ? shelfPlaces.map((shelf, position) => ({ id: BlockId.parse(newId()), name: String(position + 1), position, placeId: shelf.id })) : [];
  const stood = dealt.map((unit, position) => {
    const at = position % perShelf;
    const code = codes[position] ?? '';
    const pot = placeOf(newId, {
      parentId: shelfPlaces[unit.block]?.id ?? bench.id, kind: 'pot', name: code,
      xMm: size.gapMm + (at % size.perRow) * size.stepMm, yMm: size.gapMm + Math.floor(at / size.perRow) * size.stepMm, widthMm: plan.unitWidthMm, depthMm: plan.unitWidthMm,
    });
    const treatmentId = plan.treatments.find(treatment => treatment.id === unit.treatment)?.id;
    if (!treatmentId) throw new RangeError(`a dealt treatment must be one of the plan's, got ${unit.treatment}`);
    return { pot, unit: { id: UnitId.parse(newId()), code, placeId: pot.id, blockId: blocks[unit.block]?.id ?? null, treatmentId, position } };
  });
  return {
    layout: {
      kind: plan.kind, unitsEach: plan.unitsEach, blockWord: plan.blockWord, blockCount: inBlocks ? plan.blockCount : 0, seed: plan.seed,
      methodVersion: DEAL_METHOD_VERSION, deals: plan.deals,
    },
    places: [bench, ...shelfPlaces, ...stood.map(({ pot }) => pot)], blocks, units: stood.map(({ unit }) => unit),
  };
}

function sizesOf(unitWidthMm: number, perShelf: number) {
  const rows = Math.ceil(perShelf / LONGEST_ROW);
  const perRow = Math.ceil(perShelf / rows); // even rows: nine are five and four, not eight and one
  const gapMm = unitWidthMm * GAP;
  const stepMm = unitWidthMm + gapMm;
  return { perRow, gapMm, stepMm, shelfWidthMm: perRow * stepMm + gapMm, shelfDepthMm: rows * stepMm + gapMm, shelfGapMm: unitWidthMm * SHELF_GAP };
}

function placeOf(newId: () => string, place: Omit<Place, 'id' | 'shape'>): Place {
  return { ...place, id: PlaceId.parse(newId()), shape: place.kind === 'pot' ? 'round' : 'square' };
}
