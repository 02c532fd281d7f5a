import type { Knex } from 'knex';

/** A trial that runs by another garden's plan; gardens that were given a plan; what they sent back; what others found, typed in. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('trials', table => {
    table.text('protocol_id');
  });
  await db.schema.alterTable('blocks', table => {
    table.text('about').notNullable().defaultTo('{}');
  });
  await db.schema.createTable('received_plans', table => {
    table
      .text('trial_id')
      .notNullable()
      .primary()
      .references('id')
      .inTable('trials')
      .onDelete('CASCADE');
    table.text('plan').notNullable();
  });
  await db.schema.createTable('asked_gardens', table => {
    table.text('id').notNullable().primary();
    table.text('trial_id').notNullable().references('id').inTable('trials').onDelete('CASCADE');
    table.text('name').notNullable();
    table.text('person').notNullable().defaultTo('');
    table.text('given_on').notNullable();
    table.text('due_on').notNullable();
  });
  await db.schema.createTable('garden_results', table => {
    table.text('trial_id').notNullable().references('id').inTable('trials').onDelete('CASCADE');
    table.text('garden_id').notNullable();
    table.text('site_trial_id').notNullable();
    table.text('name').notNullable();
    table.text('written_at').notNullable();
    table.text('taken_at').notNullable();
    table.text('file').notNullable();
    table.text('sources').notNullable();
    table.primary(['trial_id', 'garden_id']);
  });
  await db.schema.createTable('typed_findings', table => {
    table.text('id').notNullable().primary();
    table.text('trial_id').notNullable().references('id').inTable('trials').onDelete('CASCADE');
    table.text('finding').notNullable();
  });
  await db.schema.createTable('heard_findings', table => {
    table.text('id').notNullable().primary();
    table.text('trial_id').notNullable().references('id').inTable('trials').onDelete('CASCADE');
    table.text('said_on').notNullable();
    table.text('by').notNullable().defaultTo('');
    table.text('text').notNullable();
  });
}

export async function down(db: Knex): Promise<void> {
  for (const table of [
    'heard_findings',
    'typed_findings',
    'garden_results',
    'asked_gardens',
    'received_plans',
  ])
    await db.schema.dropTable(table);
  // Natively: Knex would rebuild the table, and with it delete what hangs on it.
  await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['trials', 'protocol_id']);
  await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['blocks', 'about']);
}
