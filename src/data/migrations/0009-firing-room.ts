import type { Knex } from 'knex';

export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE kiln
    ADD COLUMN shelf_shape ENUM('rectangle','round','half') NULL,
    ADD COLUMN shelf_width_mm FLOAT NULL CHECK (shelf_width_mm > 0),
    ADD COLUMN shelf_depth_mm FLOAT NULL CHECK (shelf_depth_mm > 0),
    ADD COLUMN chamber_mm FLOAT NULL CHECK (chamber_mm > 0),
    ADD COLUMN thermocouple_x_mm FLOAT NULL,
    ADD COLUMN thermocouple_y_mm FLOAT NULL,
    ADD COLUMN power_kw FLOAT NULL CHECK (power_kw > 0),
    ADD COLUMN unit_price FLOAT NULL CHECK (unit_price >= 0),
    ADD COLUMN climb_rate FLOAT NULL CHECK (climb_rate > 0),
    ADD COLUMN latest_hours FLOAT NULL CHECK (latest_hours > 0)`);
  await db.raw("ALTER TABLE coating ADD COLUMN traits JSON NOT NULL DEFAULT '[]'");
  await db.raw("ALTER TABLE body ADD COLUMN traits JSON NOT NULL DEFAULT '[]'");
  await db.raw(`ALTER TABLE firing
    ADD COLUMN schedule JSON NULL,
    ADD COLUMN on_duty UUID NULL REFERENCES person (id),
    ADD COLUMN bring_by DATE NULL,
    ADD COLUMN notice TEXT NOT NULL DEFAULT '',
    ADD COLUMN next_time TEXT NOT NULL DEFAULT '',
    ADD COLUMN read_every_s INT UNSIGNED NOT NULL DEFAULT 3600,
    ADD COLUMN latest_hours FLOAT NULL CHECK (latest_hours > 0),
    ADD COLUMN energy_used FLOAT NULL CHECK (energy_used >= 0),
    ADD COLUMN said JSON NULL,
    ADD COLUMN cooled JSON NULL`);
  await db.raw(`ALTER TABLE placement
    ADD COLUMN x_mm FLOAT NULL,
    ADD COLUMN y_mm FLOAT NULL,
    ADD COLUMN turned BOOLEAN NOT NULL DEFAULT FALSE`);
  await db.raw(`CREATE TABLE schedule (
    id UUID NOT NULL PRIMARY KEY,
    name VARCHAR(80) NOT NULL UNIQUE,
    notes VARCHAR(1000) NOT NULL,
    segments JSON NOT NULL,
    by_person UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    revision INT UNSIGNED NOT NULL DEFAULT 1,
    archived_at DATETIME(3) NULL
  )`);
  // One temperature at one moment: the key makes a repeated batch harmless. What is doubted is kept.
  await db.raw(`CREATE TABLE reading (
    firing_id UUID NOT NULL REFERENCES firing (id),
    at DATETIME(3) NOT NULL,
    celsius FLOAT NULL,
    probe_mv FLOAT NULL,
    source ENUM('hand','device','file') NOT NULL,
    doubt ENUM('broken','unit','jump','future','struck') NULL,
    by_person UUID NULL REFERENCES person (id),
    PRIMARY KEY (firing_id, at)
  )`);
  // Readings of a kiln that had no firing under way: kept until somebody says what they belong to.
  await db.raw(`CREATE TABLE stray_reading (
    kiln_id UUID NOT NULL REFERENCES kiln (id),
    at DATETIME(3) NOT NULL,
    celsius FLOAT NULL,
    probe_mv FLOAT NULL,
    PRIMARY KEY (kiln_id, at)
  )`);
  await db.raw(`CREATE TABLE firing_entry (
    id UUID NOT NULL PRIMARY KEY,
    firing_id UUID NOT NULL REFERENCES firing (id),
    at DATETIME(3) NOT NULL,
    kind ENUM('atmosphere','lid','bungs','damper','gas','shut-off','weather','note') NOT NULL,
    atmosphere VARCHAR(20) NULL,
    text VARCHAR(500) NOT NULL,
    by_person UUID NOT NULL REFERENCES person (id),
    dropped_at DATETIME(3) NULL,
    KEY firing_entry_firing (firing_id, at)
  )`);
  await db.raw(`CREATE TABLE load_overrule (
    id UUID NOT NULL PRIMARY KEY,
    firing_id UUID NOT NULL REFERENCES firing (id),
    finding VARCHAR(200) NOT NULL,
    pieces JSON NOT NULL,
    reason VARCHAR(300) NOT NULL,
    by_person UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    KEY load_overrule_firing (firing_id)
  )`);
  await db.raw(`CREATE TABLE kiln_token (
    id UUID NOT NULL PRIMARY KEY,
    kiln_id UUID NOT NULL REFERENCES kiln (id),
    name VARCHAR(80) NOT NULL,
    token_hash CHAR(64) CHARACTER SET ascii NOT NULL UNIQUE,
    by_person UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    used_at DATETIME(3) NULL,
    revoked_at DATETIME(3) NULL
  )`);
  await db.raw(`CREATE TABLE kiln_upkeep (
    id UUID NOT NULL PRIMARY KEY,
    kiln_id UUID NOT NULL REFERENCES kiln (id),
    kind ENUM('elements','thermocouple','chrome','idle','repair','other') NOT NULL,
    done_on DATE NOT NULL,
    note VARCHAR(500) NOT NULL,
    by_person UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    dropped_at DATETIME(3) NULL,
    KEY kiln_upkeep_kiln (kiln_id, done_on)
  )`);
}
