import { z } from 'zod';
import { CareAct, CarePlan, CareSettings, NO_CARE } from '@/core/schedule/care-plan';
import type { CareRule } from '@/core/schedule/care-rule';
import { byTrial } from './by-trial';
import type { Database } from './database';
import { addEntry, standingRows } from './revisions';

type Row = Readonly<Record<string, unknown>>;

const TrialRow = z.looseObject({ trialId: z.string() });
const PlanRow = z.object({ settings: z.string(), stages: z.string(), bottles: z.string() });
const actOf = (row: unknown): CareAct => { const found = z.record(z.string(), z.unknown()).parse(row); return CareAct.parse({ ...found, isSkipped: Boolean(found.isSkipped), isRemoval: Boolean(found.isRemoval) }); };

/** A trial's care: settings, rules, stages, and the standing acts. */
export async function carePlanOf(db: Database, trialId: string): Promise<CarePlan> {
  return (await carePlansOf(db, [trialId])).get(trialId) ?? NO_CARE;
}

/** The care of many trials, by their ids. */
export async function carePlansOf(db: Database, trialIds: readonly string[]): Promise<ReadonlyMap<string, CarePlan>> {
  const rowsOf = async (table: string, order: readonly string[]): Promise<ReadonlyMap<string, readonly Row[]>> => {
    const rows: readonly Row[] = await db(table).whereIn('trialId', [...trialIds]).orderBy([...order]);
    return byTrial(rows);
  };
  const [plans, rules] = [await rowsOf('carePlans', ['trialId']), await rowsOf('careRules', ['position', 'id'])];
  const acts = byTrial((await standingRows(db, 'careActs', trialIds)).map(row => TrialRow.parse(row)));
  return new Map(trialIds.map(trialId => {
    const row = plans.get(trialId)?.[0];
    const plan = row === undefined ? { settings: '{}', stages: '{}', bottles: '{}' } : PlanRow.parse(row);
    return [trialId, CarePlan.parse({
      settings: CareSettings.parse(JSON.parse(plan.settings)), stages: JSON.parse(plan.stages), bottles: JSON.parse(plan.bottles),
      rules: (rules.get(trialId) ?? []).map(rule => JSON.parse(String(rule.facts))), acts: (acts.get(trialId) ?? []).map(actOf),
    })];
  }));
}

/** Puts down what of the plan has changed. */
export async function changeCarePlan(db: Database, trialId: string, changes: Partial<Pick<CarePlan, 'settings' | 'stages' | 'bottles'>>): Promise<void> {
  const rows = Object.fromEntries(Object.entries(changes).map(([name, value]) => [name, JSON.stringify(value)]));
  await db('carePlans').insert({ trialId, ...rows }).onConflict('trialId').merge(Object.keys(rows));
}

/** Adds a rule at the end, or puts it in place of itself. */
export async function putCareRule(db: Database, trialId: string, rule: CareRule, position: number): Promise<void> {
  await db('careRules').insert({ id: rule.id, trialId, position, facts: JSON.stringify(rule) }).onConflict('id').merge(['facts']);
}

export async function removeCareRule(db: Database, trialId: string, id: string): Promise<void> {
  await db('careRules').where({ trialId, id }).delete();
}

/** `false` where what it supersedes was revised meanwhile. */
export function addCareAct(db: Database, trialId: string, act: CareAct): Promise<boolean> {
  return addEntry(db, 'careActs', trialId, act);
}
