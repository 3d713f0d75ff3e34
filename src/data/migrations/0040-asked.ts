import type { Knex } from 'knex';

/**
 * What was asked of an operation, as a fingerprint: a repeat that asks for something else is known from one
 * that does not.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE operation ADD COLUMN asked CHAR(64) CHARACTER SET ascii NULL');
}
