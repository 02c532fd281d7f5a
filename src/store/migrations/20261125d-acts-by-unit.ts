import type { Knex } from 'knex';

/** Acts that only some units got, what a look found, and the frosts of the garden. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('care_acts', table => {
    table.text('unit_ids').nullable();
    table.text('outcome').nullable();
  });
  await db.schema.alterTable('gardens', table => {
    table.text('last_frost').nullable();
    table.text('first_frost').nullable();
  });
}

export async function down(db: Knex): Promise<void> {
  // Natively: Knex would rebuild the tables, and with them delete what hangs on them.
  for (const [table, column] of [
    ['care_acts', 'unit_ids'],
    ['care_acts', 'outcome'],
    ['gardens', 'last_frost'],
    ['gardens', 'first_frost'],
  ] as const)
    await db.raw('ALTER TABLE ?? DROP COLUMN ??', [table, column]);
}
