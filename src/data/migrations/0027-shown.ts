import type { Knex } from 'knex';

/** Whether the owner of a piece lets others in the studio look at it. */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE piece ADD COLUMN shown BOOLEAN NOT NULL DEFAULT 0');
}
