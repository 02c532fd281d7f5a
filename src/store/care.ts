import { z } from 'zod';
import {
  CareAct,
  CarePlan,
  CareSettings,
  mergedParts,
  type TaskDone,
} from '@/core/trial/model/care-plan';
import type { CareRule } from '@/core/trial/model/care-rule';
import type { Database } from '@/store/connection/database';
import { byTrial } from './by-trial';
import { addEntry, currentRows, trialHistoryRows } from './revisions';
import { readable } from './rows';

type Row = Readonly<Record<string, unknown>>;

const UnitIds = z.array(z.string()).nullable();
const Plan = CarePlan.unwrap().omit({ acts: true });
const PlanRow = z.object({ settings: z.string(), stages: z.string(), bottles: z.string() });
const actOf = (row: unknown): CareAct => {
  const found = z.record(z.string(), z.unknown()).parse(row);
  return CareAct.parse({
    ...found,
    isSkipped: Boolean(found.isSkipped),
    isRemoval: Boolean(found.isRemoval),
    unitIds: unitsOf(found.unitIds),
  });
};
const unitsOf = (written: unknown): unknown =>
  typeof written === 'string' ? JSON.parse(written) : null;

/** A trial's care: settings, rules, stages, and the standing acts. */
export async function carePlanOf(db: Database, trialId: string): Promise<CarePlan> {
  const plan = (await carePlansOf(db, [trialId])).get(trialId);
  if (!plan) throw new SyntaxError(`the care of trial ${trialId} must be readable`);
  return { ...plan, acts: (await currentRows(db, 'careActs', trialId)).map(actOf) };
}

/** The care of many trials, by their ids, without what was done; none of a trial whose care can't be read. */
export async function carePlansOf(
  db: Database,
  trialIds: readonly string[],
): Promise<ReadonlyMap<string, Omit<CarePlan, 'acts'>>> {
  const rowsOf = async (
    table: string,
    order: readonly string[],
  ): Promise<ReadonlyMap<string, readonly Row[]>> => {
    const rows: readonly Row[] = await db(table)
      .whereIn('trialId', [...trialIds])
      .orderBy([...order]);
    return byTrial(rows);
  };
  const [plans, rules] = [
    await rowsOf('carePlans', ['trialId']),
    await rowsOf('careRules', ['position', 'id']),
  ];
  return new Map(
    readable(trialIds, trialId => {
      const row = plans.get(trialId)?.[0];
      const plan =
        row === undefined ? { settings: '{}', stages: '{}', bottles: '{}' } : PlanRow.parse(row);
      return [
        trialId,
        Plan.parse({
          settings: CareSettings.parse(JSON.parse(plan.settings)),
          stages: JSON.parse(plan.stages),
          bottles: JSON.parse(plan.bottles),
          rules: (rules.get(trialId) ?? []).map(rule => JSON.parse(String(rule.facts))),
        }),
      ] as const;
    }),
  );
}

/**
 * What of many trials' care was done, as far as the calendar asks: tens of thousands of rows over some years, so only their
 * bare facts, and only what is recent.
 *
 * @param since acts before this day are left out, but for `wholeRules`, whose next step counts from the last
 */
export async function doneTasksOf(
  db: Database,
  trialIds: readonly string[],
  since: string,
  wholeRules: readonly string[],
): Promise<ReadonlyMap<string, readonly TaskDone[]>> {
  const standing = () =>
    db('careActs')
      .leftJoin('careActs as later', 'later.supersedes', 'careActs.id')
      .where({ 'careActs.isRemoval': false })
      .whereNull('later.id')
      .select(
        'careActs.trialId',
        'careActs.ruleId',
        'careActs.nth',
        'careActs.doneOn',
        'careActs.isSkipped',
        'careActs.unitIds',
      );
  // Two questions rather than one “or”: each finds its own index.
  const recent: readonly Row[] = await standing()
    .whereIn('careActs.trialId', [...trialIds])
    .where('careActs.doneOn', '>=', since);
  const counted: readonly Row[] =
    wholeRules.length === 0
      ? []
      : await standing()
          .whereIn('careActs.ruleId', [...wholeRules])
          .where('careActs.doneOn', '<', since);
  const rows = [...recent, ...counted];
  const done = new Map<string, TaskDone[]>(trialIds.map(trialId => [trialId, []]));
  for (const row of rows)
    done.get(String(row.trialId))?.push({
      ruleId: String(row.ruleId),
      nth: Number(row.nth),
      on: String(row.doneOn),
      isSkipped: Boolean(row.isSkipped),
      unitIds: row.unitIds === null ? null : UnitIds.parse(unitsOf(row.unitIds)),
    });
  return new Map([...done].map(([trialId, parts]) => [trialId, mergedParts(parts)]));
}

/** Puts down what of the plan has changed. */
export async function changeCarePlan(
  db: Database,
  trialId: string,
  changes: Partial<Pick<CarePlan, 'settings' | 'stages' | 'bottles'>>,
): Promise<void> {
  const rows = Object.fromEntries(
    Object.entries(changes).map(([name, value]) => [name, JSON.stringify(value)]),
  );
  await db('carePlans')
    .insert({ trialId, ...rows })
    .onConflict('trialId')
    .merge(Object.keys(rows));
}

/** Adds a rule at the end, or puts it in place of itself. */
export async function putCareRule(
  db: Database,
  trialId: string,
  rule: CareRule,
  position: number,
): Promise<void> {
  await db('careRules')
    .insert({ id: rule.id, trialId, position, facts: JSON.stringify(rule) })
    .onConflict('id')
    .merge(['facts']);
}

export async function deleteCareRule(db: Database, trialId: string, id: string): Promise<void> {
  await db('careRules').where({ trialId, id }).delete();
}

export async function findCareAct(
  db: Database,
  trialId: string,
  id: string,
): Promise<CareAct | undefined> {
  const row: unknown = await db('careActs').where({ id, trialId }).first();
  return row === undefined ? undefined : actOf(row);
}

/** Every revision of a trial's acts, those taken back too, newest first. */
export async function careActHistory(db: Database, trialId: string): Promise<readonly CareAct[]> {
  return (await trialHistoryRows(db, 'careActs', trialId)).map(actOf);
}

/** `false` where what it supersedes was revised meanwhile. */
export function addCareAct(db: Database, trialId: string, act: CareAct): Promise<boolean> {
  const row = { ...act, unitIds: act.unitIds && JSON.stringify(act.unitIds) };
  return addEntry(db, 'careActs', trialId, row);
}
