import type { Knex } from 'knex';
import { v7 } from 'uuid';
import { SHIPPED } from './0006-materials';

export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE material (
    id UUID NOT NULL PRIMARY KEY,
    slug VARCHAR(60) CHARACTER SET ascii NOT NULL UNIQUE,
    name VARCHAR(120) NOT NULL UNIQUE,
    kind ENUM('theoretical','typical','own') NOT NULL,
    analysis JSON NULL,
    density FLOAT NULL CHECK (density > 0),
    hazards JSON NOT NULL,
    stock_g DOUBLE NULL CHECK (stock_g >= 0),
    price_per_kg DOUBLE NULL CHECK (price_per_kg >= 0),
    notes TEXT NOT NULL,
    revision INT UNSIGNED NOT NULL DEFAULT 1,
    archived_at DATETIME(3) NULL
  )`);
  // What ships with the application; a studio's own rows are never touched afterwards.
  await db('material').insert(SHIPPED.map((one) => ({ id: v7(), ...one, notes: '' })));
  await db.raw(`ALTER TABLE coating_version
    ADD COLUMN recipe_unit ENUM('percent','parts') NOT NULL DEFAULT 'percent',
    ADD COLUMN recipe_notes TEXT NOT NULL DEFAULT ''`);
  await db.raw(`CREATE TABLE recipe_line (
    coating_version_id UUID NOT NULL REFERENCES coating_version (id),
    seq TINYINT UNSIGNED NOT NULL,
    material_id UUID NOT NULL REFERENCES material (id),
    amount DOUBLE NOT NULL CHECK (amount >= 0),
    addition BOOLEAN NOT NULL,
    supply VARCHAR(120) NOT NULL DEFAULT '',
    PRIMARY KEY (coating_version_id, seq),
    KEY recipe_line_material (material_id)
  )`);
  await db.raw(`CREATE TABLE bucket (
    id UUID NOT NULL PRIMARY KEY,
    coating_version_id UUID NOT NULL REFERENCES coating_version (id),
    name VARCHAR(80) NOT NULL,
    dry_g DOUBLE NULL,
    shape ENUM('round','square') NOT NULL DEFAULT 'round',
    width_mm FLOAT NULL CHECK (width_mm > 0),
    depth_mm FLOAT NULL CHECK (depth_mm > 0),
    litres FLOAT NULL CHECK (litres >= 0),
    advice JSON NOT NULL,
    weighed JSON NULL,
    mixed_by UUID NOT NULL REFERENCES person (id),
    mixed_at DATETIME(3) NOT NULL,
    emptied_at DATETIME(3) NULL,
    revision INT UNSIGNED NOT NULL DEFAULT 1,
    KEY bucket_version (coating_version_id)
  )`);
  await db.raw(`CREATE TABLE bucket_entry (
    id UUID NOT NULL PRIMARY KEY,
    bucket_id UUID NOT NULL REFERENCES bucket (id),
    kind ENUM('measured','water','dry mix','addition','stirred','note') NOT NULL,
    sg FLOAT NULL CHECK (sg BETWEEN 1 AND 2.2),
    seconds FLOAT NULL CHECK (seconds >= 0),
    temperature_c FLOAT NULL,
    litres FLOAT NULL,
    grams DOUBLE NULL,
    note VARCHAR(500) NOT NULL DEFAULT '',
    by_person UUID NOT NULL REFERENCES person (id),
    at DATETIME(3) NOT NULL,
    KEY bucket_entry_bucket (bucket_id, at)
  )`);
}
