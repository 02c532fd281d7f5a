import { blindCodes } from '@/core/design/layouts/blind-codes';
import {
  DEAL_METHOD_VERSION,
  type DealtUnit,
  deal,
  dealBalanced,
} from '@/core/design/layouts/deal';
import { dealPlanOf } from '@/core/design/layouts/deal-plan';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import { BLANK_SITE } from '@/core/trial/model/blank-facts';
import { BlockId, PlaceId, UnitId } from '@/core/trial/model/ids';
import type { Layout } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';
import { type Block, type ExperimentalUnit, NOTHING_ABOUT } from '@/core/trial/model/unit';
import type { BenchPlan } from './bench-request';
import { type At, type Stands, shelvesOnEach, standsOf, turned } from './bench-stands';

/** A deal as even in start sizes as one in twenty. */
const BALANCED_SHARE = 0.05;

/** A deal standing on a bench: the place tree, the blocks and the units in them. */
export interface LaidOutBench {
  readonly layout: Layout;
  readonly places: readonly Place[];
  readonly blocks: readonly Block[];
  readonly units: readonly ExperimentalUnit[];
}

/**
 * Deals treatments out and stands the units on a bench, block by block, each in rows of at most eight (a square's rows
 * are its own; a bed's units stand together). The same plan and seed always give the same bench; only the ids differ.
 *
 * @param newId makes UUIDv7s
 */
export function layOutBench(plan: BenchPlan, newId: () => string): LaidOutBench {
  const { dealt, mostImbalance } = dealtUnits(plan);
  const { hasBlocks } = LAYOUTS[plan.kind];
  const shelfNames = hasBlocks
    ? Array.from(
        { length: Math.max(...dealt.map(unit => unit.block)) + 1 },
        (_, i) => `${plan.blockWord} ${i + 1}`,
      )
    : ['bench'];
  const upright = standsOf(plan, dealt, shelfNames.length);
  const stands = plan.isTurned ? turned(upright) : upright;
  const ground = groundPlaces(plan, stands, shelfNames, newId);
  const blocks = hasBlocks ? ground.shelves.map((shelf, i) => blockOn(shelf, i, newId)) : [];
  const codes = blindCodes(dealt.length, plan.seed);
  const stood = dealt.map((unit, position) =>
    stoodUnit(plan, { unit, position, code: codes[position] ?? '' }, stands, ground, blocks, newId),
  );
  const { all, benches, shelves, beds } = ground;
  return {
    layout: {
      ...layoutOf(plan, dealt),
      blockCount: hasBlocks ? shelves.length : 0,
      mostImbalance,
      benches: stands.benches.length,
    },
    places: [all, ...benches, ...shelves, ...beds, ...stood.map(({ pot }) => pot)],
    blocks,
    units: stood.map(({ unit }) => unit),
  };
}

/** The deal; where raised plants are set out, the first that is as even in their sizes as was asked. */
function dealtUnits(plan: BenchPlan): {
  readonly dealt: readonly DealtUnit[];
  readonly mostImbalance: number | null;
} {
  const dealPlan = dealPlanOf(plan, plan.treatments);
  const sizes = plan.plants?.map(plant => plant.size);
  const balanced = sizes && dealBalanced(dealPlan, plan.seed, sizes, BALANCED_SHARE);
  if (balanced) return balanced;
  return { dealt: deal(dealPlan, plan.seed), mostImbalance: null };
}

/** What units stand on, from the ground up. */
interface GroundPlaces {
  readonly all: Place;
  /** None where one bench is all there is. */
  readonly benches: readonly Place[];
  /** One a block. */
  readonly shelves: readonly Place[];
  readonly beds: readonly Place[];
}

function groundPlaces(
  plan: BenchPlan,
  stands: Stands,
  shelfNames: readonly string[],
  newId: () => string,
): GroundPlaces {
  const hasBenches = stands.benches.length > 1;
  const { widthMm, depthMm } = stands;
  const all = placeOf(newId, {
    parentId: null,
    kind: 'bench',
    name: hasBenches ? 'ground' : 'bench',
    shape: 'square',
    xMm: 0,
    yMm: 0,
    widthMm,
    depthMm,
  });
  const inside = (at: At, parent: Place, kind: Place['kind'], name: string): Place =>
    placeOf(newId, { ...at, parentId: parent.id, kind, name, shape: 'square' });
  const benches = hasBenches
    ? stands.benches.map((at, i) => inside(at, all, 'bench', `bench ${i + 1}`))
    : [];
  const shelvesEach = shelvesOnEach(shelfNames.length, stands.benches.length);
  const shelfKind = plan.kind === 'several-gardens' ? 'garden' : 'shelf';
  const shelves = shelfNames.map((name, i) =>
    inside(stands.shelves[i]!, benches[Math.floor(i / shelvesEach)] ?? all, shelfKind, name),
  );
  const beds = stands.beds.map(({ at, block }, i) =>
    inside(at, shelves[block] ?? all, 'bed', `${plan.wholeWord ?? 'bed'} ${i + 1}`),
  );
  return { all, benches, shelves, beds };
}

function blockOn(shelf: Place, position: number, newId: () => string): Block {
  const id = BlockId.parse(newId());
  return { id, name: String(position + 1), position, placeId: shelf.id, about: NOTHING_ABOUT };
}

interface CodedUnit {
  readonly unit: DealtUnit;
  /** In walking order, from 0. */
  readonly position: number;
  readonly code: string;
}

/** A dealt unit in its place. */
function stoodUnit(
  plan: BenchPlan,
  { unit, position, code }: CodedUnit,
  stands: Stands,
  { all, shelves, beds }: GroundPlaces,
  blocks: readonly Block[],
  newId: () => string,
): { readonly pot: Place; readonly unit: ExperimentalUnit } {
  const { hasColumns, hasWholePlots } = LAYOUTS[plan.kind];
  const treatmentId = plan.treatments[unit.treatment]?.id;
  if (!treatmentId)
    throw new RangeError(`a dealt treatment must be one of the plan's, got ${unit.treatment}`);
  const bed = hasWholePlots ? beds[unit.wholePlot] : undefined;
  const pot = placeOf(newId, {
    ...stands.units[position]!,
    parentId: (bed ?? shelves[unit.block] ?? all).id,
    kind: plan.unitShape === 'round' ? 'pot' : 'plot',
    name: code,
    shape: plan.unitShape,
  });
  const plant = plan.plants?.[position];
  return {
    pot,
    unit: {
      id: UnitId.parse(newId()),
      code,
      placeId: pot.id,
      blockId: blocks[unit.block]?.id ?? null,
      treatmentId,
      position,
      column: hasColumns ? unit.column : null,
      wholePlot: bed?.name ?? null,
      startSize: plant?.size ?? null,
      plant: plant?.number ?? null,
      traits: {},
      built: null,
    },
  };
}

/** The plan's own part of the layout that is written down. */
function layoutOf(
  plan: BenchPlan,
  dealt: readonly DealtUnit[],
): Omit<Layout, 'blockCount' | 'mostImbalance' | 'benches'> {
  const { kind, blockWord, seed, deals, columnWord, wholeWord, wholeFactor } = plan;
  const { perBlock, controlEach, isTurned } = plan;
  return {
    kind,
    unitsEach: Math.round(dealt.length / plan.treatments.length),
    blockWord,
    seed,
    methodVersion: DEAL_METHOD_VERSION,
    deals,
    columnWord,
    wholeWord,
    wholeFactor,
    perBlock,
    controlEach,
    isTurned,
    ...BLANK_SITE,
    raisedSizes: plan.raisedSizes ?? [],
  };
}

function placeOf(newId: () => string, place: Omit<Place, 'id'>): Place {
  return { ...place, id: PlaceId.parse(newId()) };
}
