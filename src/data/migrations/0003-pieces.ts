import type { Knex } from 'knex';

export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE lot (
    id UUID NOT NULL PRIMARY KEY,
    kind ENUM('alike','matrix','import') NOT NULL,
    name VARCHAR(160) NOT NULL,
    created_by UUID NOT NULL REFERENCES person (id),
    created_at DATETIME(3) NOT NULL
  )`);
  await db.raw(`CREATE TABLE piece (
    id UUID NOT NULL PRIMARY KEY,
    code CHAR(5) CHARACTER SET ascii NOT NULL UNIQUE,
    mark VARCHAR(40) NULL,
    kind ENUM('tile','ware') NOT NULL,
    body_id UUID NOT NULL REFERENCES body (id),
    form VARCHAR(40) NOT NULL,
    height_mm FLOAT NULL CHECK (height_mm > 0),
    lot_id UUID NULL REFERENCES lot (id),
    owner_id UUID NULL REFERENCES person (id),
    made_on DATE NULL,
    notes TEXT NOT NULL,
    waiting_for ENUM('bisque','glaze','refire') NULL,
    wanted_cone VARCHAR(4) CHARACTER SET ascii NULL,
    wanted_atmosphere VARCHAR(20) NULL,
    created_by UUID NOT NULL REFERENCES person (id),
    created_at DATETIME(3) NOT NULL,
    binned_at DATETIME(3) NULL,
    revision INT UNSIGNED NOT NULL DEFAULT 1,
    KEY piece_mark (mark),
    KEY piece_waiting (waiting_for, wanted_cone),
    KEY piece_created (created_at)
  )`);
  await db.raw(`CREATE TABLE face (
    piece_id UUID NOT NULL REFERENCES piece (id),
    no TINYINT UNSIGNED NOT NULL,
    kind ENUM('bare','light-slip','dark-slip','textured') NOT NULL,
    slip_version_id UUID NULL REFERENCES coating_version (id),
    PRIMARY KEY (piece_id, no)
  )`);
  // set_no counts corrections: the highest of an intent is what is believed now.
  await db.raw(`CREATE TABLE layer (
    piece_id UUID NOT NULL REFERENCES piece (id),
    intent ENUM('meant','done') NOT NULL,
    set_no SMALLINT UNSIGNED NOT NULL,
    seq TINYINT UNSIGNED NOT NULL,
    coating_version_id UUID NOT NULL REFERENCES coating_version (id),
    method ENUM('dip','pour','brush','spray','trail','sponge','inlay','wiped-back') NOT NULL,
    coats TINYINT UNSIGNED NOT NULL CHECK (coats >= 1),
    weight ENUM('thin','normal','heavy') NOT NULL,
    thickness_mm FLOAT NULL CHECK (thickness_mm > 0),
    seconds FLOAT NULL CHECK (seconds >= 0),
    stage ENUM('leather-hard','bone-dry','bisque','glaze-fired') NOT NULL,
    dried_before BOOLEAN NULL,
    face_no TINYINT UNSIGNED NULL,
    stretch_from DOUBLE NOT NULL CHECK (stretch_from >= 0),
    stretch_to DOUBLE NOT NULL CHECK (stretch_to <= 1),
    sector_from DOUBLE NOT NULL CHECK (sector_from BETWEEN 0 AND 1),
    sector_to DOUBLE NOT NULL CHECK (sector_to BETWEEN 0 AND 1),
    relief VARCHAR(40) NOT NULL,
    generation TINYINT UNSIGNED NOT NULL DEFAULT 1,
    recorded_by UUID NOT NULL REFERENCES person (id),
    recorded_at DATETIME(3) NOT NULL,
    superseded_at DATETIME(3) NULL,
    PRIMARY KEY (piece_id, intent, set_no, seq),
    CHECK (stretch_from < stretch_to)
  )`);
  await db.raw(`CREATE TABLE flag (
    id UUID NOT NULL PRIMARY KEY,
    piece_id UUID NOT NULL REFERENCES piece (id),
    text VARCHAR(300) NOT NULL,
    raised_by UUID NOT NULL REFERENCES person (id),
    raised_at DATETIME(3) NOT NULL,
    cleared_by UUID NULL REFERENCES person (id),
    cleared_at DATETIME(3) NULL,
    KEY flag_piece (piece_id)
  )`);
}
