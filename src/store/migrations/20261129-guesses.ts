import type { Knex } from 'knex';

/** A guess may be about one comparison, or about another measure than the main one. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('predictions', table => {
    table.text('measure_id').nullable();
    table.text('foretold').nullable();
  });
}

export async function down(db: Knex): Promise<void> {
  // Natively: Knex would rebuild the table.
  for (const column of ['measure_id', 'foretold'])
    await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['predictions', column]);
}
