import type { Knex } from 'knex';

/**
 * What is said in the kiln room: where on a piece a sign is, how often it pings, when somebody is to look
 * again, sounds that wait to be typed up, ticks of sheets, what was collected and where, and who said later
 * what a numbered piece is covered with.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE observation_sign ADD COLUMN points JSON NULL');
  await db.raw(`ALTER TABLE observation
    ADD KEY observation_colour (colour),
    ADD COLUMN pings SMALLINT UNSIGNED NULL`);
  await db.raw(`CREATE TABLE second_look (
    id UUID NOT NULL PRIMARY KEY,
    piece_id UUID NOT NULL REFERENCES piece (id),
    firing_id UUID NOT NULL REFERENCES firing (id),
    after_days SMALLINT UNSIGNED NOT NULL,
    due_on DATE NOT NULL,
    counts_from DATE NOT NULL,
    asked_by UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    dropped_at DATETIME(3) NULL,
    KEY second_look_piece (piece_id, firing_id),
    KEY second_look_firing (firing_id),
    KEY second_look_due (due_on),
    CHECK (counts_from <= due_on)
  )`);
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
