import type { Knex } from 'knex';

/** Products, the care of trials with what was done, and the weather. */
export async function up(db: Knex): Promise<void> {
  await db.schema.alterTable('gardens', table => {
    table.double('latitude').notNullable().defaultTo(51);
    table.double('altitude_m').notNullable().defaultTo(50);
  });
  await db.schema.createTable('products', table => {
    table.text('id').primary();
    table
      .text('garden_id')
      .notNullable()
      .references('id')
      .inTable('gardens')
      .onDelete('CASCADE')
      .index();
    table.text('name').notNullable();
    table.text('facts').notNullable();
    table.boolean('is_removed').notNullable().defaultTo(false);
  });
  await db.schema.createTable('care_plans', table => {
    table.text('trial_id').primary().references('id').inTable('trials').onDelete('CASCADE');
    for (const name of ['settings', 'stages', 'bottles'])
      table.text(name).notNullable().defaultTo('{}');
  });
  await db.schema.createTable('care_rules', table => {
    table.text('id').primary();
    table
      .text('trial_id')
      .notNullable()
      .references('id')
      .inTable('trials')
      .onDelete('CASCADE')
      .index();
    table.integer('position').notNullable();
    table.text('facts').notNullable();
  });
  await db.schema.createTable('care_acts', table => {
    table.text('id').primary();
    table
      .text('trial_id')
      .notNullable()
      .references('id')
      .inTable('trials')
      .onDelete('CASCADE')
      .index();
    table.text('rule_id').notNullable().index();
    table.index(['trial_id', 'done_on']);
    table.integer('nth').notNullable();
    for (const name of ['done_on', 'taken_at', 'note', 'by']) table.text(name).notNullable();
    table.double('amount').nullable();
    table.text('batch_id').nullable();
    table.text('supersedes').nullable().unique().references('id').inTable('care_acts');
    for (const name of ['is_skipped', 'is_removal']) table.boolean(name).notNullable();
  });
  await db.schema.createTable('weather_days', table => {
    table.text('garden_id').notNullable().references('id').inTable('gardens').onDelete('CASCADE');
    table.text('day').notNullable();
    for (const name of ['tmax_c', 'tmin_c', 'rain_mm']) table.double(name).notNullable();
    for (const name of ['wind_ms', 'rh_max', 'rh_min', 'sun_hours']) table.double(name).nullable();
    table.text('source').notNullable();
    table.primary(['garden_id', 'day']);
  });
}

export async function down(db: Knex): Promise<void> {
  for (const table of ['weather_days', 'care_acts', 'care_rules', 'care_plans', 'products'])
    await db.schema.dropTable(table);
  // Natively: Knex would rebuild the table, and with it delete its children.
  for (const column of ['latitude', 'altitude_m'])
    await db.raw('ALTER TABLE ?? DROP COLUMN ??', ['gardens', column]);
}
