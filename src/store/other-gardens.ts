import { z } from 'zod';
import type { Database } from '@/store/connection/database';
import { jsonOf, type Row, readable } from './rows';

/** A garden that was given a plan, by whoever gave it. */
export const AskedGarden = z
  .object({
    id: z.string(),
    trialId: z.string(),
    name: z.string(),
    person: z.string(),
    givenOn: z.string(),
    /** Empty: no day was agreed. */
    dueOn: z.string(),
  })
  .readonly();
export type AskedGarden = z.infer<typeof AskedGarden>;

/** What a garden sent back, without the file itself. */
export const HeldRow = z
  .object({
    gardenId: z.string(),
    siteTrialId: z.string(),
    name: z.string(),
    writtenAt: z.string(),
    takenAt: z.string(),
  })
  .readonly();
export type HeldRow = z.infer<typeof HeldRow>;

/** The plan that a trial was begun from, as it came. */
export async function keepReceivedPlan(
  db: Database,
  trialId: string,
  plan: unknown,
): Promise<void> {
  await db('received_plans').insert({ trialId, plan: JSON.stringify(plan) });
}

export async function receivedPlanOf(db: Database, trialId: string): Promise<unknown> {
  const row: Row | undefined = await db('received_plans').where({ trialId }).first();
  return row && jsonOf(row.plan);
}

export async function askedGardensOf(
  db: Database,
  trialId: string,
): Promise<readonly AskedGarden[]> {
  const rows: readonly Row[] = await db('asked_gardens').where({ trialId }).orderBy('id');
  return readable(rows, row => AskedGarden.parse(row));
}

/** Puts a garden on the list, or what was changed of it in its place. */
export async function putAskedGarden(db: Database, garden: AskedGarden): Promise<void> {
  await db('asked_gardens')
    .insert({ ...garden })
    .onConflict('id')
    .merge();
}

export async function removeAskedGarden(db: Database, trialId: string, id: string): Promise<void> {
  await db('asked_gardens').where({ trialId, id }).delete();
}

export async function heldResultsOf(db: Database, trialId: string): Promise<readonly HeldRow[]> {
  const rows: readonly Row[] = await db('garden_results')
    .where({ trialId })
    .orderBy('name')
    .select('gardenId', 'siteTrialId', 'name', 'writtenAt', 'takenAt');
  return readable(rows, row => HeldRow.parse(row));
}

/** What was worked out of what gardens sent back, as it was kept. */
export async function heldSourcesOf(
  db: Database,
  trialId: string,
): Promise<readonly { readonly gardenId: string; readonly kept: unknown }[]> {
  const rows: readonly Row[] = await db('garden_results')
    .where({ trialId })
    .select('gardenId', 'sources');
  return readable(rows, row => ({ gardenId: String(row.gardenId), kept: jsonOf(row.sources) }));
}

/** Puts what was worked out anew in place of what was kept. */
export async function keepSources(
  db: Database,
  trialId: string,
  gardenId: string,
  kept: unknown,
): Promise<void> {
  await db('garden_results')
    .where({ trialId, gardenId })
    .update({ sources: JSON.stringify(kept) });
}

/** The file that a garden sent, as it came. */
export async function heldFileOf(
  db: Database,
  trialId: string,
  gardenId: string,
): Promise<unknown> {
  const row: Row | undefined = await db('garden_results').where({ trialId, gardenId }).first();
  return row && jsonOf(row.file);
}

/** Puts what a garden sent in place of what it sent before. */
export async function putGardenResults(
  db: Database,
  trialId: string,
  held: HeldRow,
  kept: { readonly file: unknown; readonly sources: unknown },
): Promise<void> {
  await db('garden_results')
    .insert({
      trialId,
      ...held,
      file: JSON.stringify(kept.file),
      sources: JSON.stringify(kept.sources),
    })
    .onConflict(['trialId', 'gardenId'])
    .merge();
}

/** Takes out what a garden sent. */
export async function removeGardenResults(
  db: Database,
  trialId: string,
  gardenId: string,
): Promise<void> {
  await db('garden_results').where({ trialId, gardenId }).delete();
}

/** What others found and published, or told with its error: typed in, and counted as such. */
export const TypedFinding = z
  .object({
    id: z.string(),
    treatment: z.string(),
    control: z.string(),
    /** Where it is from: a paper, a neighbour. */
    from: z.string(),
    /** In % of the control, or in the measure's own unit: one of the two; its standard error in the same. */
    percent: z.number().nullable(),
    difference: z.number().nullable().default(null),
    se: z.number(),
    season: z.string(),
  })
  .readonly();
export type TypedFinding = z.infer<typeof TypedFinding>;

export async function typedFindingsOf(
  db: Database,
  trialId: string,
): Promise<readonly TypedFinding[]> {
  const rows: readonly Row[] = await db('typed_findings').where({ trialId }).orderBy('id');
  return readable(rows, row => TypedFinding.parse(jsonOf(row.finding)));
}

export async function addTypedFinding(
  db: Database,
  trialId: string,
  finding: TypedFinding,
): Promise<void> {
  await db('typed_findings')
    .insert({ id: finding.id, trialId, finding: JSON.stringify(finding) })
    .onConflict('id')
    .ignore();
}

/** What somebody says they found, without figures: kept beside the trial, never counted. */
export const HeardFinding = z
  .object({ id: z.string(), saidOn: z.string(), by: z.string(), text: z.string() })
  .readonly();
export type HeardFinding = z.infer<typeof HeardFinding>;

export async function heardFindingsOf(
  db: Database,
  trialId: string,
): Promise<readonly HeardFinding[]> {
  const rows: readonly Row[] = await db('heard_findings').where({ trialId }).orderBy('id');
  return readable(rows, row => HeardFinding.parse(row));
}

export async function addHeardFinding(
  db: Database,
  trialId: string,
  finding: HeardFinding,
): Promise<void> {
  await db('heard_findings')
    .insert({ ...finding, trialId })
    .onConflict('id')
    .ignore();
}

/** Takes out what was typed in or heard. */
export async function removeFinding(db: Database, trialId: string, id: string): Promise<void> {
  await db('typed_findings').where({ trialId, id }).delete();
  await db('heard_findings').where({ trialId, id }).delete();
}
