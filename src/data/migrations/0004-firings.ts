import type { Knex } from 'knex';

const ATMOSPHERE = `ENUM('oxidation','neutral','light reduction','moderate reduction','heavy reduction','unknown')`;
const STATUS = `ENUM('planned','loaded','firing','cooling','opened')`;

export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE firing (
    id UUID NOT NULL PRIMARY KEY,
    kiln_id UUID NOT NULL REFERENCES kiln (id),
    no INT UNSIGNED NOT NULL,
    kind ENUM('bisque','glaze','refire','overglaze','once-fired') NOT NULL,
    target_cone VARCHAR(4) CHARACTER SET ascii NULL,
    atmosphere ${ATMOSPHERE} NOT NULL DEFAULT 'unknown',
    planned_for DATE NULL,
    status ${STATUS} NOT NULL DEFAULT 'planned',
    notes TEXT NOT NULL,
    reached_ordinal DOUBLE NULL,
    reached_bound ENUM('exact','at least','less than') NULL,
    cone_band VARCHAR(8) CHARACTER SET ascii NOT NULL DEFAULT 'unknown',
    started_at DATETIME(3) NULL,
    opened_at DATETIME(3) NULL,
    written_up_at DATETIME(3) NULL,
    created_by UUID NOT NULL REFERENCES person (id),
    created_at DATETIME(3) NOT NULL,
    revision INT UNSIGNED NOT NULL DEFAULT 1,
    UNIQUE KEY firing_no (kiln_id, no),
    KEY firing_status (status, planned_for)
  )`);
  await db.raw(`CREATE TABLE firing_event (
    id BIGINT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
    firing_id UUID NOT NULL REFERENCES firing (id),
    from_status ${STATUS} NULL,
    to_status ${STATUS} NOT NULL,
    reason VARCHAR(300) NULL,
    by_person UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    KEY firing_event_firing (firing_id)
  )`);
  await db.raw(`CREATE TABLE witness_cone (
    id UUID NOT NULL PRIMARY KEY,
    firing_id UUID NOT NULL REFERENCES firing (id),
    cone VARCHAR(4) CHARACTER SET ascii NOT NULL,
    role ENUM('guide','target','guard','other') NOT NULL,
    place VARCHAR(60) NOT NULL,
    bend_degrees FLOAT NULL CHECK (bend_degrees BETWEEN 0 AND 120),
    read_by UUID NULL REFERENCES person (id),
    read_at DATETIME(3) NULL,
    UNIQUE KEY witness_place (firing_id, place, cone)
  )`);
  // open_piece_id repeats piece_id while the firing is not opened: one piece, one kiln at a time.
  await db.raw(`CREATE TABLE placement (
    id UUID NOT NULL PRIMARY KEY,
    firing_id UUID NOT NULL REFERENCES firing (id),
    piece_id UUID NOT NULL REFERENCES piece (id),
    open_piece_id UUID NULL UNIQUE,
    shelf TINYINT UNSIGNED NULL,
    position VARCHAR(20) NOT NULL DEFAULT '',
    setting ENUM('shelf','waster','ring','wads','stilt','unknown') NOT NULL DEFAULT 'unknown',
    generation TINYINT UNSIGNED NOT NULL DEFAULT 1,
    placed_by UUID NOT NULL REFERENCES person (id),
    placed_at DATETIME(3) NOT NULL,
    UNIQUE KEY placement_once (firing_id, piece_id),
    KEY placement_piece (piece_id),
    CHECK (open_piece_id IS NULL OR open_piece_id = piece_id)
  )`);
}
