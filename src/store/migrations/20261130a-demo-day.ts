import type { Knex } from 'knex';

/** The day at which the clock of a demo garden stands; empty where the garden goes by the real one. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('gardens', table => {
    table.string('demo_day', 10).notNullable().defaultTo('');
  });
}

export async function down(db: Knex): Promise<void> {
  // Natively: Knex would rebuild the table, and with it delete what hangs on it.
  await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['gardens', 'demo_day']);
}
