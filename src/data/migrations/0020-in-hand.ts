import type { Knex } from 'knex';

/**
 * Tiles whose firing nobody wrote down: such a firing is kept as unrecorded, and a kiln that stands for
 * "nobody knows which" says so. A pot may have come out of a kiln that no list named (late), and what
 * lies on a piece may be unknown, which is not the same as bare.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE firing ADD COLUMN unrecorded BOOLEAN NOT NULL DEFAULT FALSE');
  await db.raw('ALTER TABLE kiln ADD COLUMN nobody_knows BOOLEAN NOT NULL DEFAULT FALSE');
  await db.raw('ALTER TABLE placement ADD COLUMN late BOOLEAN NOT NULL DEFAULT FALSE');
  await db.raw('ALTER TABLE piece ADD COLUMN coats_known BOOLEAN NOT NULL DEFAULT TRUE');
  await db.raw(`UPDATE kiln SET nobody_knows = TRUE WHERE name = 'Kiln not recorded'`);
  await db.raw(`UPDATE firing SET unrecorded = TRUE
    WHERE started_at IS NULL AND status = 'opened' AND notes = 'Brought in with past tests.'`);
}
