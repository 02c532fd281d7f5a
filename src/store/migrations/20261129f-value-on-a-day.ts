import type { Knex } from 'knex';

/** Of a measure that is summed up by its value on a day: which day. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('measures', table => {
    table.integer('on_day').nullable();
  });
}

export async function down(db: Knex): Promise<void> {
  // Natively: Knex would rebuild the table, and with it delete what hangs on it.
  await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['measures', 'on_day']);
}
