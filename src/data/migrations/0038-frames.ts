import type { Knex } from 'knex';

/**
 * Where faces lie in pictures, the colours of their zones by the grey in the picture, and which part of its
 * picture a cell shows. A frame that was replaced or taken away stays, with who set it.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE frame (
    id UUID NOT NULL PRIMARY KEY,
    photo_id UUID NOT NULL REFERENCES photo (id),
    face_no TINYINT UNSIGNED NOT NULL,
    shape JSON NOT NULL,
    guessed BOOLEAN NOT NULL,
    method SMALLINT UNSIGNED NOT NULL,
    set_by UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    removed_at DATETIME(3) NULL,
    current_key VARCHAR(40) CHARACTER SET ascii NULL UNIQUE,
    KEY frame_photo (photo_id, removed_at),
    CHECK ((removed_at IS NULL) = (current_key IS NOT NULL))
  )`);
  await db.raw(`CREATE TABLE zone_colour (
    frame_id UUID NOT NULL REFERENCES frame (id),
    zone VARCHAR(80) NOT NULL,
    l FLOAT NOT NULL,
    a FLOAT NOT NULL,
    b FLOAT NOT NULL,
    parts JSON NOT NULL,
    variegation FLOAT NOT NULL,
    glare FLOAT NOT NULL,
    by_grey BOOLEAN NOT NULL,
    method SMALLINT UNSIGNED NOT NULL,
    PRIMARY KEY (frame_id, zone),
    KEY zone_colour_lab (by_grey, l, a, b)
  )`);
  await db.raw('ALTER TABLE photo ADD COLUMN grey JSON NULL');
  await db.raw('ALTER TABLE studio ADD COLUMN grey_card JSON NULL');
  await db.raw('ALTER TABLE sighting ADD COLUMN zone VARCHAR(80) NULL');
  await db.raw('ALTER TABLE cell ADD COLUMN photo_cut JSON NULL');
}
