import type { Knex } from 'knex';

/**
 * A firing whose cones were not read has no cone: it stands under what was intended, until cones
 * or its log say more. What its log says is kept, and what moved when a firing taught its kiln;
 * what a kiln is known by is kept with the last firing that taught it, not estimated at each read.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE firing
    ADD COLUMN log_ordinal DOUBLE NULL,
    ADD COLUMN log_low DOUBLE NULL,
    ADD COLUMN log_high DOUBLE NULL,
    ADD COLUMN cone_known ENUM('read','by log','intended','unknown') NOT NULL DEFAULT 'unknown',
    ADD COLUMN taught JSON NULL AFTER cooled`);
  await db.raw(`UPDATE firing SET cone_known = CASE
    WHEN reached_ordinal IS NOT NULL AND reached_bound <> 'less than' THEN 'read'
    WHEN target_cone IS NOT NULL THEN 'intended'
    ELSE 'unknown' END`);
  await db.raw(`UPDATE firing SET cone_band = CONCAT('?', target_cone) WHERE cone_known = 'intended'`);
  await db.raw(`CREATE TABLE cone_move (
    id UUID NOT NULL PRIMARY KEY,
    firing_id UUID NOT NULL REFERENCES firing (id),
    taught_by UUID NULL REFERENCES firing (id),
    at DATETIME(3) NOT NULL,
    was VARCHAR(60) NOT NULL,
    became VARCHAR(60) NOT NULL,
    KEY cone_move_firing (firing_id, at)
  )`);
}
