import type { Knex } from 'knex';

/** Where a kiln's posts stand, where somebody has moved them (mm from the middle of the shelf). */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE kiln ADD COLUMN posts JSON NULL');
}
