import type { Knex } from 'knex';

/** Pictures that are kept, bags of soil, tastings, and what is foretold of the end inspection. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('photos', table => {
    ofTrial(table);
    ofUnit(table, 'unit_id');
    for (const name of ['taken_on', 'kept_at', 'shows', 'note']) table.text(name).notNullable();
    for (const name of ['width', 'height']) table.integer(name).notNullable();
    table.double('width_mm').nullable();
  });
  await db.schema.createTable('soil_samples', table => {
    ofTrial(table);
    ofUnit(table, 'unit_id');
    for (const name of ['number', 'taken_on', 'note']) table.text(name).notNullable();
    table.double('depth_mm').nullable();
    table.integer('cores').notNullable();
    table.unique(['trial_id', 'number']);
  });
  await db.schema.createTable('tastings', table => {
    ofTrial(table);
    for (const name of ['unit_a', 'unit_b']) ofUnit(table, name);
    for (const name of ['held_on', 'laid_at']) table.text(name).notNullable();
    for (const name of ['tasters', 'seed']) table.integer(name).notNullable();
    table.integer('correct').nullable();
  });
  await db.schema.alterTable('measures', table => {
    table.text('optimum').nullable();
  });
  await db.schema.alterTable('predictions', table => {
    table.text('about').notNullable().defaultTo('');
  });
}

export async function down(db: Knex): Promise<void> {
  for (const table of ['tastings', 'soil_samples', 'photos']) await db.schema.dropTable(table);
  // Natively: Knex would rebuild the tables, and with them delete what hangs on them.
  for (const [table, column] of [
    ['measures', 'optimum'],
    ['predictions', 'about'],
  ] as const)
    await db.raw('ALTER TABLE ?? DROP COLUMN ??', [table, column]);
}

function ofTrial(table: Knex.CreateTableBuilder): void {
  table.text('id').primary();
  table
    .text('trial_id')
    .notNullable()
    .references('id')
    .inTable('trials')
    .onDelete('CASCADE')
    .index();
}

function ofUnit(table: Knex.CreateTableBuilder, name: string): void {
  table.text(name).notNullable().references('id').inTable('units').onDelete('CASCADE');
}
