import type { Knex } from 'knex';

/**
 * Reduction of which nobody said how much; air that differed by shelf (JSON: shelf → atmosphere); how
 * full a kiln was fired, as somebody said it.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE firing
    MODIFY atmosphere ENUM('oxidation','neutral','reduction','light reduction','moderate reduction',
      'heavy reduction','unknown') NOT NULL DEFAULT 'unknown',
    ADD COLUMN shelf_air JSON NOT NULL DEFAULT '{}',
    ADD COLUMN fullness ENUM('sparse','half','full','tight') NULL`);
}
