import type { Knex } from 'knex';

const SURFACE = `ENUM('gloss','satin','matt','dry')`;
const OPACITY = `ENUM('transparent','translucent','opaque')`;
const MET = `ENUM('blend','dominate','separate')`;

export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE photo (
    id UUID NOT NULL PRIMARY KEY,
    sha CHAR(64) CHARACTER SET ascii NOT NULL,
    width SMALLINT UNSIGNED NOT NULL,
    height SMALLINT UNSIGNED NOT NULL,
    original_name VARCHAR(200) NOT NULL,
    piece_id UUID NULL REFERENCES piece (id),
    firing_id UUID NULL REFERENCES firing (id),
    uploaded_by UUID NOT NULL REFERENCES person (id),
    created_at DATETIME(3) NOT NULL,
    binned_at DATETIME(3) NULL,
    UNIQUE KEY photo_once (sha, piece_id, firing_id),
    KEY photo_piece (piece_id, firing_id)
  )`);
  // current_key is set while an observation is believed: one per piece, firing and zone.
  await db.raw(`CREATE TABLE observation (
    id UUID NOT NULL PRIMARY KEY,
    piece_id UUID NOT NULL REFERENCES piece (id),
    firing_id UUID NOT NULL REFERENCES firing (id),
    zone VARCHAR(80) NULL,
    seen_at DATETIME(3) NOT NULL,
    seen_by UUID NOT NULL REFERENCES person (id),
    surface ${SURFACE} NULL,
    opacity ${OPACITY} NULL,
    colour VARCHAR(120) NULL,
    movement_mm FLOAT NULL CHECK (movement_mm >= 0),
    met ${MET} NULL,
    rating TINYINT UNSIGNED NULL CHECK (rating BETWEEN 1 AND 5),
    verdict ENUM('keep','sell','reserve','give','second','refire','grind','study','discard') NULL,
    note TEXT NOT NULL,
    current_key VARCHAR(170) CHARACTER SET ascii NULL UNIQUE,
    supersedes UUID NULL,
    superseded_at DATETIME(3) NULL,
    KEY observation_piece (piece_id, firing_id),
    KEY observation_firing (firing_id)
  )`);
  await db.raw(`CREATE TABLE observation_sign (
    observation_id UUID NOT NULL REFERENCES observation (id),
    sign VARCHAR(20) CHARACTER SET ascii NOT NULL,
    severity TINYINT UNSIGNED NOT NULL CHECK (severity BETWEEN 1 AND 3),
    wanted BOOLEAN NOT NULL,
    PRIMARY KEY (observation_id, sign)
  )`);
  await db.raw(`CREATE TABLE cell (
    id CHAR(32) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    body_id UUID NOT NULL REFERENCES body (id),
    slips VARCHAR(200) NOT NULL,
    cone VARCHAR(8) CHARACTER SET ascii NOT NULL,
    atmosphere VARCHAR(20) NOT NULL,
    depth TINYINT UNSIGNED NOT NULL,
    base_slug VARCHAR(60) CHARACTER SET ascii NULL,
    over_slug VARCHAR(60) CHARACTER SET ascii NULL,
    stack_key VARCHAR(600) NOT NULL,
    standing ENUM('untried','once','repeated','settled','contradictory') NOT NULL,
    pieces INT UNSIGNED NOT NULL,
    firings INT UNSIGNED NOT NULL,
    surface ${SURFACE} NULL,
    met ${MET} NULL,
    movement_mm FLOAT NULL,
    rating FLOAT NULL,
    signs JSON NOT NULL,
    contradictions JSON NOT NULL,
    photo_sha CHAR(64) CHARACTER SET ascii NULL,
    example_code CHAR(5) CHARACTER SET ascii NULL,
    last_seen DATETIME(3) NULL,
    KEY cell_board (body_id, cone, atmosphere, slips, depth),
    KEY cell_base (base_slug),
    KEY cell_over (over_slug)
  )`);
  await db.raw(`CREATE TABLE sighting (
    piece_id UUID NOT NULL REFERENCES piece (id),
    firing_id UUID NOT NULL REFERENCES firing (id),
    cell_id CHAR(32) CHARACTER SET ascii NOT NULL REFERENCES cell (id),
    face_no TINYINT UNSIGNED NOT NULL,
    area FLOAT NOT NULL,
    seen_at DATETIME(3) NOT NULL,
    surface ${SURFACE} NULL,
    opacity ${OPACITY} NULL,
    colour VARCHAR(120) NULL,
    movement_mm FLOAT NULL,
    met ${MET} NULL,
    rating TINYINT UNSIGNED NULL,
    signs JSON NOT NULL,
    variables JSON NOT NULL,
    PRIMARY KEY (piece_id, firing_id, cell_id),
    KEY sighting_cell (cell_id)
  )`);
}
