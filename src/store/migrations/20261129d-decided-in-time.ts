import type { Knex } from 'knex';

/**
 * In an open trial there is no key: a decision is late once something was read or picked. Earlier versions put down all of an open
 * trial's as late.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`
    UPDATE incidents SET after_key_opened = 0
    WHERE trial_id IN (SELECT id FROM trials WHERE is_blind = 0)
      AND NOT EXISTS (SELECT 1 FROM picks WHERE picks.trial_id = incidents.trial_id AND picks.taken_at < incidents.recorded_at)
      AND NOT EXISTS (SELECT 1 FROM readings WHERE readings.trial_id = incidents.trial_id AND readings.taken_at < incidents.recorded_at)
  `);
}

/** What was put down as late before can't be told any more, and does no harm. */
export async function down(): Promise<void> {}
