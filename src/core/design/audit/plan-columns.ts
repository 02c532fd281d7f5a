import { centresOf } from '@/core/design/site/unit-centres';
import type { CareAct } from '@/core/trial/model/care-plan';
import { needsPicks } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { ExperimentalUnit } from '@/core/trial/model/unit';

/** Goes with the factor that was dealt to whole beds, by plan. */
export const BED = 'the bed';

/** A column of the plan: a number or a name for every unit. */
export type PlanColumn =
  | { readonly name: string; readonly kind: 'number'; readonly values: readonly (number | null)[] }
  | { readonly name: string; readonly kind: 'name'; readonly values: readonly (string | null)[] };

/**
 * Every column of the plan and of what was done: place along and across, edge, order, block, bed, start size, day, order and
 * reader, who tended, batches, and whatever else was said to differ: variety, container, water, tool.
 */
export function planColumns(data: TrialData): readonly PlanColumn[] {
  const at = centresOf(data);
  const middle = (values: readonly number[]): number =>
    (Math.min(...values) + Math.max(...values)) / 2;
  const [xs, ys] = [at.map(place => place.x), at.map(place => place.y)];
  const firstPicks = data.units.map(
    unit =>
      data.picks
        .filter(pick => pick.unitId === unit.id)
        .sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))[0],
  );
  const lastDay = data.picks
    .map(pick => pick.pickedOn)
    .sort()
    .at(-1);
  const order = data.picks
    .filter(pick => pick.pickedOn === lastDay)
    .sort((a, b) => (a.takenAt < b.takenAt ? -1 : 1))
    .map(pick => pick.unitId);
  return [
    { name: 'the place along the bench', kind: 'number', values: xs },
    { name: 'the place across the bench', kind: 'number', values: ys },
    {
      name: 'nearness to the edge',
      kind: 'number',
      values: at.map(place =>
        Math.max(Math.abs(place.x - middle(xs)), Math.abs(place.y - middle(ys))),
      ),
    },
    {
      name: 'the order of the round',
      kind: 'number',
      values: data.units.map(unit => unit.position),
    },
    { name: 'the number of the plant', kind: 'number', values: data.units.map(unit => unit.plant) },
    { name: 'start size', kind: 'number', values: data.units.map(unit => unit.startSize) },
    {
      name: 'the day of the first pick',
      kind: 'number',
      values: firstPicks.map(pick => (pick ? Date.parse(pick.pickedOn) / 86_400_000 : null)),
    },
    {
      name: 'the order of the last round',
      kind: 'number',
      values: data.units.map(unit => {
        const place = order.indexOf(unit.id);
        return place < 0 ? null : place;
      }),
    },
    { name: 'the block', kind: 'name', values: data.units.map(unit => unit.blockId) },
    { name: BED, kind: 'name', values: data.units.map(unit => unit.wholePlot) },
    { name: 'who read it', kind: 'name', values: readBy(data) },
    { name: 'the day it was read', kind: 'name', values: daysRead(data) },
    { name: 'who tended it', kind: 'name', values: tendedBy(data) },
    ...batchColumns(data),
    ...traitNames(data).map(
      (name): PlanColumn => ({
        name,
        kind: 'name',
        values: data.units.map(unit => unit.traits[name] ?? ''),
      }),
    ),
  ];
}

/** What was noted of each unit, in one name; null for all where it was noted of some only. */
function noted(
  { units }: TrialData,
  of: (unit: ExperimentalUnit) => readonly string[],
): readonly (string | null)[] {
  const names = units.map(unit => [...new Set(of(unit))].sort().join(' + '));
  return names.map(name => (names.includes('') ? null : name));
}

/** Who took the main measure. */
function readBy(data: TrialData): readonly (string | null)[] {
  const main = data.measures.find(measure => measure.isMain);
  const entries: readonly { readonly unitId: string; readonly by: string }[] =
    main && needsPicks(main.scale)
      ? data.picks
      : data.readings.filter(reading => reading.measureId === main?.id && !reading.isRepeat);
  return noted(data, unit =>
    entries.filter(entry => entry.unitId === unit.id && entry.by !== '').map(entry => entry.by),
  );
}

/** On which days the main measure was read. What is picked when it is ripe, or waited for, comes on days of its own. */
function daysRead(data: TrialData): readonly (string | null)[] {
  const main = data.measures.find(measure => measure.isMain);
  const own = data.readings.filter(reading => reading.measureId === main?.id);
  // What died is not looked at again.
  const isShort = own.some(reading => reading.outcome === 'dead' || reading.outcome === 'gone');
  if (!main?.scale || main.scale.kind === 'date' || isShort) return data.units.map(() => null);
  return noted(data, unit =>
    own.filter(reading => reading.unitId === unit.id).map(reading => reading.takenOn),
  );
}

/** Acts that were meant for all alike. */
function sharedActs({ care }: TrialData): readonly CareAct[] {
  const shared = new Set(
    care.rules.filter(rule => rule.treatmentIds.length === 0).map(rule => rule.id),
  );
  return care.acts.filter(act => !act.isSkipped && shared.has(act.ruleId));
}

const isGiven = (act: CareAct, unit: ExperimentalUnit): boolean =>
  act.unitIds === null || act.unitIds.includes(unit.id);

function tendedBy(data: TrialData): readonly (string | null)[] {
  const acts = sharedActs(data).filter(act => act.by !== '');
  return noted(data, unit => acts.filter(act => isGiven(act, unit)).map(act => act.by));
}

/** Of what all got: from which bottle or bag. */
function batchColumns(data: TrialData): readonly PlanColumn[] {
  return data.products.map(product => {
    const rules = data.care.rules.filter(rule => rule.material?.productId === product.id);
    const acts = sharedActs(data).filter(
      act => act.batchId !== null && rules.some(rule => rule.id === act.ruleId),
    );
    return {
      name: `the batch of ${product.name}`,
      kind: 'name',
      values: noted(data, unit =>
        acts.flatMap(act => (isGiven(act, unit) && act.batchId !== null ? [act.batchId] : [])),
      ),
    };
  });
}

/** What else was said to differ between units. */
export function traitNames({ units }: TrialData): readonly string[] {
  return [...new Set(units.flatMap(unit => Object.keys(unit.traits)))];
}
