import type { Knex } from 'knex';

export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE question (
    id UUID NOT NULL PRIMARY KEY,
    no INT UNSIGNED NOT NULL UNIQUE,
    text VARCHAR(300) NOT NULL,
    varied VARCHAR(300) NOT NULL,
    held VARCHAR(500) NOT NULL,
    expected VARCHAR(500) NOT NULL,
    target_piece_id UUID NULL REFERENCES piece (id),
    design JSON NULL,
    seed INT UNSIGNED NOT NULL,
    sheet JSON NOT NULL,
    conclusion JSON NULL,
    concluded_by UUID NULL REFERENCES person (id),
    concluded_at DATETIME(3) NULL,
    asked_by UUID NOT NULL REFERENCES person (id),
    asked_at DATETIME(3) NOT NULL,
    made_at DATETIME(3) NULL,
    revision INT UNSIGNED NOT NULL DEFAULT 1
  )`);
  await db.raw(`CREATE TABLE question_tile (
    question_id UUID NOT NULL REFERENCES question (id),
    no SMALLINT UNSIGNED NOT NULL,
    piece_id UUID NOT NULL REFERENCES piece (id),
    label VARCHAR(300) NOT NULL,
    role ENUM('test','control','repeat') NOT NULL,
    row_no SMALLINT UNSIGNED NOT NULL,
    column_no SMALLINT UNSIGNED NOT NULL,
    factors JSON NOT NULL,
    mix JSON NULL,
    shelf TINYINT UNSIGNED NOT NULL,
    place SMALLINT UNSIGNED NOT NULL,
    PRIMARY KEY (question_id, no),
    KEY question_tile_piece (piece_id)
  )`);
  await db.raw("ALTER TABLE lot MODIFY kind ENUM('alike','matrix','import','design') NOT NULL");
  // A coating that a question made for its blends: on record, but not one of the studio's own.
  await db.raw('ALTER TABLE coating ADD COLUMN trial BOOLEAN NOT NULL DEFAULT FALSE');
  // What a studio has on its board of blanks: every change is a row, the stock is their sum.
  await db.raw(`CREATE TABLE tile_move (
    id UUID NOT NULL PRIMARY KEY,
    body_id UUID NOT NULL REFERENCES body (id),
    form VARCHAR(40) NOT NULL,
    faces VARCHAR(80) NOT NULL,
    number INT NOT NULL,
    why ENUM('made','used','broken','counted') NOT NULL,
    by_person UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    KEY tile_move_kind (body_id, form, faces, at)
  )`);
  await db.raw(`CREATE TABLE body_test (
    id UUID NOT NULL PRIMARY KEY,
    body_id UUID NOT NULL REFERENCES body (id),
    kind ENUM('plasticity','sag','melt','absorption','strength of colour','shrinkage','expansion') NOT NULL,
    value DOUBLE NULL,
    cone VARCHAR(8) CHARACTER SET ascii NULL,
    note VARCHAR(500) NOT NULL,
    by_person UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    KEY body_test_body (body_id, kind, at)
  )`);
}
