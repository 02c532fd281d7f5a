import type { Knex } from 'knex';

/** The time zone that a garden's days and hours are of. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('gardens', table => {
    table.text('time_zone').notNullable().defaultTo('');
  });
}

export async function down(db: Knex): Promise<void> {
  // Natively: Knex would rebuild the table, and with it delete what hangs on it.
  await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['gardens', 'time_zone']);
}
