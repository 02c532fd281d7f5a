import { blindCodes } from '@/core/design/layouts/blind-codes';
import { DEAL_METHOD_VERSION, deal, dealBalanced } from '@/core/design/layouts/deal';
import { dealPlanOf } from '@/core/design/layouts/deal-plan';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import { BLANK_SITE } from '@/core/trial/model/blank-facts';
import { BlockId, PlaceId, UnitId } from '@/core/trial/model/ids';
import type { Layout } from '@/core/trial/model/layout';
import type { Place } from '@/core/trial/model/place';
import type { Block, ExperimentalUnit } from '@/core/trial/model/unit';
import { BALANCED_SHARE, type BenchPlan, shelvesOnEach, standsOf, turned } from './bench-stands';

/** A deal standing on a bench: the place tree, the blocks and the units in them. */
export interface LaidOutBench {
  readonly layout: Layout;
  readonly places: readonly Place[];
  readonly blocks: readonly Block[];
  readonly units: readonly ExperimentalUnit[];
}

// Short blocks stand two beside each other: the bench is then about as deep as it is wide.

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
  const { hasBlocks, hasColumns, hasWholePlots } = LAYOUTS[plan.kind];
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
    const bed = hasWholePlots ? beds[unit.wholePlot] : undefined;
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
        column: hasColumns ? unit.column : null,
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

function placeOf(newId: () => string, place: Omit<Place, 'id'>): Place {
  return { ...place, id: PlaceId.parse(newId()) };
}
