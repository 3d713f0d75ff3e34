import type { Knex } from 'knex';

/**
 * A doubled body, coating, kiln or person stands for another from then on: its row stays, put away, and
 * says which one has its records. `merger` keeps what was moved, so that it can be taken apart again.
 */
export async function up(db: Knex): Promise<void> {
  for (const table of ['body', 'coating', 'kiln', 'person'])
    await db.raw(`ALTER TABLE ${table} ADD COLUMN merged_into UUID NULL REFERENCES ${table} (id)`);
  await db.raw(`CREATE TABLE merger (
    id UUID NOT NULL PRIMARY KEY,
    kind ENUM('body','coating','kiln','person') NOT NULL,
    from_id UUID NOT NULL,
    into_id UUID NOT NULL,
    moves JSON NOT NULL,
    by_person UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    undone_at DATETIME(3) NULL,
    KEY merger_from (from_id)
  )`);
}
