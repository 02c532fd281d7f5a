import type { Knex } from 'knex';

/** What a mishap was, and whether the treatment did it. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('incidents', table => {
    table.text('cause').nullable();
    table.text('by_treatment').notNullable().defaultTo('unknown');
  });
}

export async function down(db: Knex): Promise<void> {
  for (const column of ['cause', 'by_treatment'])
    await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['incidents', column]);
}
