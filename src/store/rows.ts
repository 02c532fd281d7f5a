import { ZodError } from 'zod';
import type { Database } from '@/store/connection/database';

export type Row = Readonly<Record<string, unknown>>;
export const jsonOf = (value: unknown): unknown =>
  typeof value === 'string' ? JSON.parse(value) : value;

/** What of several rows can be read. One that can't, by its shape or as JSON, does not take the others with it. */
export function readable<Each, Value>(
  rows: readonly Each[],
  read: (row: Each) => Value,
): readonly Value[] {
  return rows.flatMap(row => {
    try {
      return [read(row)];
    } catch (error) {
      if (isUnreadable(error)) return [];
      throw error;
    }
  });
}

/** Whether what stands in the file is not what this version writes. */
export function isUnreadable(error: unknown): boolean {
  return error instanceof ZodError || error instanceof SyntaxError;
}

export async function insertAll(db: Database, table: string, rows: readonly Row[]): Promise<void> {
  if (rows.length > 0) await db.batchInsert(table, [...rows], 50);
}
