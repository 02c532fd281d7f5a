import type { Knex } from 'knex';

/** Whether the parts of a unit are averaged or added up. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('measures', table => {
    table.text('parts_are').notNullable().defaultTo('averaged');
  });
}

export async function down(db: Knex): Promise<void> {
  // Natively: Knex would rebuild the table, and with it delete what hangs on it.
  await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['measures', 'parts_are']);
}
