import type { Knex } from 'knex';

type Table = Knex.CreateTableBuilder;

/** Gardens, trials with all they hold, revisions, verdicts and the log of changes. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('gardens', table => {
    id(table);
    table.text('name').notNullable();
    table.text('system').notNullable();
  });
  await trialTables(db);
  await placeTables(db);
  await entryTables(db);
  await db.schema.createTable('verdicts', table => {
    belongsTo(table, 'trial_id', 'trials').primary();
    table.text('closed_at').notNullable();
    table.text('measure_id').notNullable();
    table.text('input').notNullable();
    table.text('judgement').notNullable();
  });
  await db.schema.createTable('changes', table => {
    table.increments('sequence');
    table.text('at').notNullable();
    table.text('trial_id').nullable().index();
    table.text('what').notNullable();
    table.text('subject_id').nullable();
    table.text('detail').notNullable();
  });
}

async function trialTables(db: Knex): Promise<void> {
  await db.schema.createTable('trials', table => {
    id(table);
    belongsTo(table, 'garden_id', 'gardens').index();
    for (const name of ['question', 'crop', 'unit_word', 'state', 'starts_on', 'ends_on'])
      table.text(name).notNullable();
    table.boolean('is_blind').notNullable();
    for (const name of ['locked_at', 'closed_at', 'key_opened_at']) table.text(name).nullable();
  });
  await db.schema.createTable('factors', table => {
    belongsTo(table, 'trial_id', 'trials');
    table.integer('position').notNullable();
    for (const name of ['name', 'levels', 'dealt_at']) table.text(name).notNullable();
    table.primary(['trial_id', 'position']);
  });
  await db.schema.createTable('treatments', table => {
    id(table);
    belongsTo(table, 'trial_id', 'trials').index();
    for (const name of ['name', 'letter', 'role', 'levels']) table.text(name).notNullable();
    table.integer('position').notNullable();
  });
  await db.schema.createTable('measures', table => {
    id(table);
    belongsTo(table, 'trial_id', 'trials').index();
    for (const name of ['name', 'definition', 'response', 'unit', 'summary', 'better'])
      table.text(name).notNullable();
    table.text('margin').nullable();
    table.boolean('is_main').notNullable();
  });
  await db.schema.createTable('layouts', table => {
    belongsTo(table, 'trial_id', 'trials').primary();
    for (const name of ['kind', 'block_word']) table.text(name).notNullable();
    for (const name of ['units_each', 'block_count', 'method_version', 'deals'])
      table.integer(name).notNullable();
    table.bigInteger('seed').notNullable();
  });
}

async function placeTables(db: Knex): Promise<void> {
  await db.schema.createTable('places', table => {
    id(table);
    belongsTo(table, 'garden_id', 'gardens').index();
    table
      .text('trial_id')
      .nullable()
      .references('id')
      .inTable('trials')
      .onDelete('CASCADE')
      .index();
    table.text('parent_id').nullable().references('id').inTable('places').onDelete('CASCADE');
    for (const name of ['kind', 'name', 'shape']) table.text(name).notNullable();
    for (const name of ['x_mm', 'y_mm', 'width_mm', 'depth_mm']) table.double(name).notNullable();
  });
  await db.schema.createTable('blocks', table => {
    id(table);
    belongsTo(table, 'trial_id', 'trials').index();
    table.text('name').notNullable();
    table.integer('position').notNullable();
    table.text('place_id').nullable().references('id').inTable('places').onDelete('SET NULL');
  });
  await db.schema.createTable('units', table => {
    id(table);
    belongsTo(table, 'trial_id', 'trials').index();
    table.text('code').notNullable();
    belongsTo(table, 'place_id', 'places');
    table.text('block_id').nullable().references('id').inTable('blocks').onDelete('CASCADE');
    belongsTo(table, 'treatment_id', 'treatments');
    table.integer('position').notNullable();
    table.unique(['trial_id', 'code']);
  });
}

async function entryTables(db: Knex): Promise<void> {
  await db.schema.createTable('picks', table => {
    entry(table, 'picks');
    for (const name of ['picked_on', 'taken_at', 'outcome', 'grade', 'note', 'as_written'])
      table.text(name).notNullable();
    table.integer('pieces').nullable();
    table.double('gross_g').nullable();
    table.double('tare_g').notNullable();
    table.double('net_g').nullable();
    table.text('cull_reason').nullable();
  });
  await db.schema.createTable('readings', table => {
    entry(table, 'readings');
    belongsTo(table, 'measure_id', 'measures');
    for (const name of ['subsample', 'taken_on', 'taken_at', 'outcome', 'note'])
      table.text(name).notNullable();
    table.double('value').nullable();
  });
  await db.schema.createTable('incidents', table => {
    entry(table, 'incidents');
    for (const name of ['happened_on', 'recorded_at', 'what', 'why', 'by', 'decision'])
      table.text(name).notNullable();
    table.boolean('after_key_opened').notNullable();
  });
}

/** What never is overwritten: a revision names what it supersedes, and nothing can be superseded twice. */
function entry(table: Table, name: string): void {
  id(table);
  belongsTo(table, 'trial_id', 'trials').index();
  belongsTo(table, 'unit_id', 'units').index();
  table.text('supersedes').nullable().unique().references('id').inTable(name);
  table.boolean('is_removal').notNullable();
}

function id(table: Table): void {
  table.text('id').primary();
}

function belongsTo(table: Table, column: string, parent: string): Knex.ReferencingColumnBuilder {
  return table.text(column).notNullable().references('id').inTable(parent).onDelete('CASCADE');
}

export async function down(db: Knex): Promise<void> {
  const tables = [
    'changes',
    'verdicts',
    'incidents',
    'readings',
    'picks',
    'units',
    'blocks',
    'places',
    'layouts',
    'measures',
    'treatments',
    'factors',
    'trials',
    'gardens',
  ];
  for (const table of tables) await db.schema.dropTableIfExists(table);
}
