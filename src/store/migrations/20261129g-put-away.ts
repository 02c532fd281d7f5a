import type { Knex } from 'knex';

/** Trials that were put away: nothing of them is due or listed, all of them is kept. */
export async function up(db: Knex): Promise<void> {
  await db.schema.createTable('put_away', table => {
    table
      .text('trial_id')
      .notNullable()
      .primary()
      .references('id')
      .inTable('trials')
      .onDelete('CASCADE');
    table.text('at').notNullable();
  });
}

export async function down(db: Knex): Promise<void> {
  await db.schema.dropTable('put_away');
}
