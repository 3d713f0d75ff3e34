import type { Knex } from 'knex';

/**
 * What is said in the kiln room: where on a piece a sign is, sounds that wait to be typed up, ticks of sheets, what was
 * collected and where, and who said later what a numbered piece is covered with.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE observation_sign ADD COLUMN points JSON NULL');
  await db.raw('ALTER TABLE observation ADD KEY observation_colour (colour)');
  await db.raw(`CREATE TABLE sound (
    id UUID NOT NULL PRIMARY KEY,
    sha CHAR(64) CHARACTER SET ascii NOT NULL,
    media VARCHAR(40) CHARACTER SET ascii NOT NULL,
    bytes INT UNSIGNED NOT NULL,
    length_s DOUBLE NULL CHECK (length_s >= 0),
    piece_id UUID NULL REFERENCES piece (id),
    firing_id UUID NULL REFERENCES firing (id),
    spoken_at DATETIME(3) NOT NULL,
    spoken_by UUID NOT NULL REFERENCES person (id),
    words TEXT NULL,
    words_by UUID NULL REFERENCES person (id),
    words_at DATETIME(3) NULL,
    binned_at DATETIME(3) NULL,
    KEY sound_piece (piece_id),
    KEY sound_firing (firing_id),
    KEY sound_sha (sha),
    KEY sound_open (binned_at, words_at),
    FULLTEXT KEY sound_words (words),
    CHECK (piece_id IS NOT NULL OR firing_id IS NOT NULL),
    CHECK ((words IS NULL) = (words_at IS NULL))
  )`);
  await db.raw(`CREATE TABLE tick (
    person_id UUID NOT NULL REFERENCES person (id),
    sheet VARCHAR(300) NOT NULL,
    line VARCHAR(40) CHARACTER SET ascii NOT NULL,
    done BOOLEAN NOT NULL,
    said_at DATETIME(3) NOT NULL,
    at DATETIME(3) NOT NULL,
    PRIMARY KEY (person_id, sheet, line),
    KEY tick_at (at)
  )`);
  await db.raw(`ALTER TABLE placement
    ADD COLUMN collected_at DATETIME(3) NULL,
    ADD COLUMN collected_by UUID NULL REFERENCES person (id)`);
  await db.raw("ALTER TABLE firing ADD COLUMN collect_from VARCHAR(120) NOT NULL DEFAULT ''");
  await db.raw(`ALTER TABLE piece
    ADD COLUMN key_said_at DATETIME(3) NULL,
    ADD COLUMN key_said_by UUID NULL REFERENCES person (id)`);
}
