import type { Knex } from 'knex';

/** A deal that is an earlier trial's, which asks what that one left in the ground; and one that was brought in as a table. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('layouts', table => {
    table.text('kept_from');
    table.boolean('is_given').notNullable().defaultTo(false);
  });
}

export async function down(db: Knex): Promise<void> {
  // Natively: Knex would rebuild the table, and with it delete what hangs on it.
  await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['layouts', 'kept_from']);
  await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['layouts', 'is_given']);
}
