import type { Knex } from 'knex';

const KNOWN = `ENUM('read','by log','intended','unknown')`;

/**
 * The coats of a cell as rows, so that a chart on any two axes is a query; which firing of the piece
 * a sighting is of, and how its cone is known. All of it follows from the records: the summaries
 * are made again after this step.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE cell_coat (
    cell_id CHAR(32) CHARACTER SET ascii NOT NULL,
    seq TINYINT UNSIGNED NOT NULL,
    slug VARCHAR(60) CHARACTER SET ascii NOT NULL,
    version SMALLINT UNSIGNED NOT NULL,
    amount VARCHAR(40) NOT NULL,
    PRIMARY KEY (cell_id, seq),
    KEY cell_coat_slug (slug, cell_id),
    CONSTRAINT cell_coat_cell FOREIGN KEY (cell_id) REFERENCES cell (id) ON DELETE CASCADE
  )`);
  for (const table of ['sighting', 'cell'])
    await db.raw(`ALTER TABLE ${table}
      ADD COLUMN generation TINYINT UNSIGNED NOT NULL DEFAULT 1,
      ADD COLUMN cone_known ${KNOWN} NOT NULL DEFAULT 'unknown'`);
  await db.raw('ALTER TABLE observation_sign ADD KEY observation_sign_sign (sign)');
}
