import type { Knex } from 'knex';

/** A deal that is an earlier trial's: what is asked is what that one left in the ground. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('layouts', table => {
    table.text('kept_from');
  });
}

export async function down(db: Knex): Promise<void> {
  // Natively: Knex would rebuild the table, and with it delete what hangs on it.
  await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['layouts', 'kept_from']);
}
