import type { Database } from '@/store/connection/database';

export type Row = Readonly<Record<string, unknown>>;
export const jsonOf = (value: unknown): unknown =>
  typeof value === 'string' ? JSON.parse(value) : value;

export async function insertAll(db: Database, table: string, rows: readonly Row[]): Promise<void> {
  if (rows.length > 0) await db.batchInsert(table, [...rows], 50);
}
