import type { Knex } from 'knex';

/** Layouts beyond blocks, what was agreed before the start, predictions, and amendments after the lock. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('trials', table => {
    table.text('pattern').nullable();
    table.text('interest').notNullable().defaultTo('');
    table.text('rules').notNullable().defaultTo('{}');
    table.text('money').nullable();
  });
  await db.schema.alterTable('treatments', table => {
    table.text('control_kind').nullable();
    table.double('dose').nullable();
    table.text('detail').notNullable().defaultTo('');
  });
  await db.schema.alterTable('layouts', table => {
    for (const name of ['column_word', 'whole_word', 'whole_factor']) table.text(name).nullable();
    for (const name of ['per_block', 'control_each']) table.integer(name).nullable();
    table.double('most_imbalance').nullable();
    table.integer('benches').notNullable().defaultTo(1);
    for (const name of ['is_turned', 'is_arranged_in_sight', 'has_guards'])
      table.boolean(name).notNullable().defaultTo(false);
    for (const name of ['site', 'raised_sizes']) table.text(name).notNullable().defaultTo('[]');
  });
  await db.schema.alterTable('units', table => {
    table.integer('column').nullable();
    table.text('whole_plot').nullable();
    table.double('start_size').nullable();
    table.integer('plant').nullable();
    table.text('traits').notNullable().defaultTo('{}');
  });
  await db.schema.createTable('predictions', table => {
    table.text('id').primary();
    table
      .text('trial_id')
      .notNullable()
      .references('id')
      .inTable('trials')
      .onDelete('CASCADE')
      .index();
    for (const name of ['by', 'why', 'sealed_at']) table.text(name).notNullable();
    table.text('expects').nullable();
  });
  await db.schema.createTable('amendments', table => {
    table.text('id').primary();
    table
      .text('trial_id')
      .notNullable()
      .references('id')
      .inTable('trials')
      .onDelete('CASCADE')
      .index();
    for (const name of ['at', 'what', 'from', 'to', 'why', 'by']) table.text(name).notNullable();
    table.boolean('after_key_opened').notNullable();
  });
}

const ADDED: Readonly<Record<string, readonly string[]>> = {
  trials: ['pattern', 'interest', 'rules', 'money'],
  treatments: ['control_kind', 'dose', 'detail'],
  layouts: [
    'column_word',
    'whole_word',
    'whole_factor',
    'per_block',
    'control_each',
    'most_imbalance',
    'benches',
    'is_turned',
    'is_arranged_in_sight',
    'has_guards',
    'site',
    'raised_sizes',
  ],
  units: ['column', 'whole_plot', 'start_size', 'plant', 'traits'],
};

export async function down(db: Knex): Promise<void> {
  for (const table of ['amendments', 'predictions']) await db.schema.dropTable(table);
  // Natively: Knex would rebuild the table, and with it delete its children.
  for (const [table, columns] of Object.entries(ADDED))
    for (const column of columns) await db.raw('ALTER TABLE ?? DROP COLUMN ??', [table, column]);
}
