import type { Knex } from 'knex';

export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE body (
    id UUID NOT NULL PRIMARY KEY,
    slug VARCHAR(60) CHARACTER SET ascii NOT NULL UNIQUE,
    name VARCHAR(80) NOT NULL UNIQUE,
    kind ENUM('earthenware','stoneware','porcelain','other') NOT NULL,
    cone_low VARCHAR(4) CHARACTER SET ascii NULL,
    cone_high VARCHAR(4) CHARACTER SET ascii NULL,
    ground ENUM('light','mid','dark','porcelain') NOT NULL,
    iron_bearing BOOLEAN NOT NULL DEFAULT FALSE,
    colour CHAR(7) CHARACTER SET ascii NOT NULL,
    notes TEXT NOT NULL,
    cautions TEXT NOT NULL,
    revision INT UNSIGNED NOT NULL DEFAULT 1,
    archived_at DATETIME(3) NULL
  )`);
  await db.raw(`CREATE TABLE coating (
    id UUID NOT NULL PRIMARY KEY,
    slug VARCHAR(60) CHARACTER SET ascii NOT NULL UNIQUE,
    name VARCHAR(80) NOT NULL UNIQUE,
    kind ENUM('glaze','slip','engobe','underglaze','wash','overglaze') NOT NULL,
    cone_low VARCHAR(4) CHARACTER SET ascii NULL,
    cone_high VARCHAR(4) CHARACTER SET ascii NULL,
    colour CHAR(7) CHARACTER SET ascii NOT NULL,
    atmosphere_notes TEXT NOT NULL,
    what_it_does TEXT NOT NULL,
    cautions TEXT NOT NULL,
    revision INT UNSIGNED NOT NULL DEFAULT 1,
    archived_at DATETIME(3) NULL
  )`);
  await db.raw(`CREATE TABLE coating_version (
    id UUID NOT NULL PRIMARY KEY,
    coating_id UUID NOT NULL REFERENCES coating (id),
    no SMALLINT UNSIGNED NOT NULL,
    notes TEXT NOT NULL,
    created_at DATETIME(3) NOT NULL,
    UNIQUE KEY coating_version_no (coating_id, no)
  )`);
  await db.raw(`CREATE TABLE kiln (
    id UUID NOT NULL PRIMARY KEY,
    slug VARCHAR(60) CHARACTER SET ascii NOT NULL UNIQUE,
    name VARCHAR(80) NOT NULL UNIQUE,
    energy ENUM('electric','gas','wood','other') NOT NULL,
    control ENUM('controller','shut-off','by hand') NOT NULL,
    volume_l SMALLINT UNSIGNED NULL,
    shelves TINYINT UNSIGNED NOT NULL CHECK (shelves BETWEEN 1 AND 30),
    notes TEXT NOT NULL,
    next_firing_no INT UNSIGNED NOT NULL DEFAULT 1,
    revision INT UNSIGNED NOT NULL DEFAULT 1,
    archived_at DATETIME(3) NULL
  )`);
}
