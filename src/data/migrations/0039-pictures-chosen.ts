import type { Knex } from 'knex';

/**
 * How sharp a face is in its picture, by which version of the method its colours were measured, which picture
 * somebody chose to stand for a cell, what colour a cell’s pieces are together, how far the studio’s repeats
 * lie apart, and which stack is its control.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(
    'ALTER TABLE frame ADD COLUMN sharpness FLOAT NULL, ADD COLUMN measured SMALLINT UNSIGNED NULL',
  );
  // Somebody looked and found nothing to frame in it: it is not asked about again.
  await db.raw('ALTER TABLE photo ADD COLUMN unframed BOOLEAN NOT NULL DEFAULT FALSE');
  // A cell comes and goes with what is said of its pieces; its id follows from what it is, and the choice
  // stays.
  await db.raw(`CREATE TABLE cell_picture (
    cell_id CHAR(32) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    photo_id UUID NOT NULL REFERENCES photo (id),
    chosen_by UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL
  )`);
  await db.raw('ALTER TABLE cell ADD COLUMN colour JSON NULL');
  await db.raw(`CREATE TABLE repeats (
    id TINYINT NOT NULL PRIMARY KEY CHECK (id = 1),
    scatter JSON NOT NULL,
    at DATETIME(3) NOT NULL
  )`);
  // The stack of which a tile goes into every glaze firing: its body, slips and coats.
  await db.raw('ALTER TABLE studio ADD COLUMN control JSON NULL');
  await db.raw('ALTER TABLE frame ADD KEY frame_at (at), ADD KEY frame_removed (removed_at)');
}
