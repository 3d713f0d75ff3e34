import type { Knex } from 'knex';

/**
 * What a piece that came in from a table was there, as a fingerprint: the same row is known when it comes
 * again.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(
    'ALTER TABLE piece ADD COLUMN came_as CHAR(64) CHARACTER SET ascii NULL, ADD INDEX piece_came_as (came_as)',
  );
}
