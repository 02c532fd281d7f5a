import type { Knex } from 'knex';

/** What somebody would do otherwise next time. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('regrets', table => {
    table.text('id').primary();
    table
      .text('trial_id')
      .notNullable()
      .references('id')
      .inTable('trials')
      .onDelete('CASCADE')
      .index();
    for (const name of ['at', 'text', 'by']) table.text(name).notNullable();
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('regrets');
}
