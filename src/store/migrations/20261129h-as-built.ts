import type { Knex } from 'knex';

/** What a unit really is: its ground, litres, plants, seed, container. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('units', table => {
    table.text('built').nullable();
  });
}

export async function down(db: Knex): Promise<void> {
  // Natively: Knex would rebuild the table, and with it delete what hangs on it.
  await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['units', 'built']);
}
