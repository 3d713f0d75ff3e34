import type { Knex } from 'knex';

/**
 * Tests of body and use on pieces: dated, with what was found and when they are due again. What was struck
 * stays.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE use_test (
    id UUID NOT NULL PRIMARY KEY,
    piece_id UUID NOT NULL REFERENCES piece (id),
    kind VARCHAR(20) CHARACTER SET ascii NOT NULL,
    outcome VARCHAR(20) CHARACTER SET ascii NOT NULL,
    rounds SMALLINT UNSIGNED NULL,
    dry_g DOUBLE NULL CHECK (dry_g > 0),
    wet_g DOUBLE NULL,
    note VARCHAR(500) NOT NULL,
    done_on DATE NOT NULL,
    due_on DATE NULL,
    by_person UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    dropped_at DATETIME(3) NULL,
    KEY use_test_piece (piece_id, done_on),
    KEY use_test_due (due_on),
    CHECK (wet_g IS NULL OR wet_g >= dry_g)
  )`);
}
