import type { Knex } from 'knex';

/**
 * A refire is for something: why, what will be done, at which cone. It stands with the look that decided
 * it, so that taking the look back takes the intention with it; what the piece then waits for is kept
 * beside it. A look can say that an old fault is not there any more.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE observation
    ADD COLUMN refire_why VARCHAR(300) NULL,
    ADD COLUMN refire_todo VARCHAR(200) NULL,
    ADD COLUMN refire_cone VARCHAR(4) CHARACTER SET ascii NULL,
    ADD COLUMN refire_atmosphere VARCHAR(20) NULL,
    ADD COLUMN healed JSON NOT NULL DEFAULT '[]'`);
  await db.raw(`ALTER TABLE piece
    ADD COLUMN refire_cone VARCHAR(4) CHARACTER SET ascii NULL,
    ADD COLUMN refire_atmosphere VARCHAR(20) NULL,
    ADD COLUMN refire_todo VARCHAR(200) NULL`);
}
