import type { Knex } from 'knex';

/** Who weighed and who read. Of what stands already nobody was asked. */
export async function up(db: Knex): Promise<void> {
  for (const table of ['picks', 'readings'])
    await db.schema.alterTable(table, change => {
      change.text('by').notNullable().defaultTo('');
    });
}

export async function down(db: Knex): Promise<void> {
  // Natively: Knex would rebuild the tables, and with them delete what hangs on them.
  for (const table of ['picks', 'readings'])
    await db.raw('ALTER TABLE ?? DROP COLUMN ??', [table, 'by']);
}
