import { Measure } from '@/core/trial/model/measure';
import type { Database } from '@/store/connection/database';

type Row = Readonly<Record<string, unknown>>;

/** A measure as its row holds it. */
export function measureRow(trialId: string, measure: Measure): Row {
  return {
    ...measure,
    trialId,
    margin: measure.margin && JSON.stringify(measure.margin),
    scale: measure.scale && JSON.stringify(measure.scale),
    optimum: measure.optimum && JSON.stringify(measure.optimum),
  };
}

export function measureFrom(row: Row): Measure {
  const json = (value: unknown): unknown => (typeof value === 'string' ? JSON.parse(value) : null);
  return Measure.parse({
    ...row,
    margin: json(row.margin),
    scale: json(row.scale),
    optimum: json(row.optimum),
    isMain: Boolean(row.isMain),
  });
}

export async function measureOf(
  db: Database,
  trialId: string,
  measureId: string,
): Promise<Measure | undefined> {
  const row: Row | undefined = await db('measures').where({ id: measureId, trialId }).first();
  return row && measureFrom(row);
}

export async function addMeasure(db: Database, trialId: string, measure: Measure): Promise<void> {
  await db('measures').insert(measureRow(trialId, measure));
}

/** `false` where something was read of it already: then it stays. */
export async function removeMeasure(
  db: Database,
  trialId: string,
  measureId: string,
): Promise<boolean> {
  const read: unknown = await db('readings').where({ measureId }).first('id');
  if (read !== undefined) return false;
  await db('measures').where({ id: measureId, trialId }).delete();
  return true;
}
