import type { Knex } from 'knex';

/** A planned firing can be called off: it keeps its number and is out of every list. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE firing ADD COLUMN called_off_at DATETIME(3) NULL`);
}
