import type { Knex } from 'knex';

/** Measures that are read, and what a reading keeps beside its value. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('measures', table => {
    table.text('kind_key').nullable();
    table.text('scale').nullable();
    table.integer('parts').notNullable().defaultTo(1);
  });
  await db.schema.alterTable('readings', table => {
    table.integer('out_of').nullable();
    table.boolean('is_repeat').notNullable().defaultTo(false);
    for (const name of ['as_written', 'device']) table.text(name).notNullable().defaultTo('');
    // A second device asks for what stands at one place of the table; a walk asks for one measure.
    table.index(['measure_id', 'unit_id', 'taken_on']);
    table.index(['measure_id', 'taken_on']);
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.alterTable('readings', table => {
    table.dropIndex(['measure_id', 'unit_id', 'taken_on']);
    table.dropIndex(['measure_id', 'taken_on']);
  });
  // Natively: Knex would rebuild the tables, and with them delete what hangs on them.
  for (const [table, column] of [
    ['measures', 'kind_key'],
    ['measures', 'scale'],
    ['measures', 'parts'],
    ['readings', 'out_of'],
    ['readings', 'is_repeat'],
    ['readings', 'as_written'],
    ['readings', 'device'],
  ] as const)
    await db.raw('ALTER TABLE ?? DROP COLUMN ??', [table, column]);
}
