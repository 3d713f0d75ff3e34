import type { Knex } from 'knex';

/**
 * What a board's mark is made from, in a key of its own: the rows themselves are wide. And of a log what is
 * not plainly read by a device, so that nobody looks through a hundred thousand readings for what is not there.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE cell ADD KEY cell_changed (body_id, cone, atmosphere, changed_at)');
  await db.raw('ALTER TABLE reading ADD KEY reading_apart (firing_id, source, doubt, probe_mv)');
}
