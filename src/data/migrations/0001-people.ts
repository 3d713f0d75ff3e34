import type { Knex } from 'knex';

export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE studio (
    id TINYINT UNSIGNED NOT NULL PRIMARY KEY CHECK (id = 1),
    name VARCHAR(120) NOT NULL,
    time_zone VARCHAR(60) NOT NULL,
    temperature_unit ENUM('C','F') NOT NULL DEFAULT 'C',
    length_unit ENUM('mm','in') NOT NULL DEFAULT 'mm',
    mass_unit ENUM('g','oz') NOT NULL DEFAULT 'g',
    crack_at_c SMALLINT UNSIGNED NOT NULL DEFAULT 100,
    unload_at_c SMALLINT UNSIGNED NOT NULL DEFAULT 40,
    next_piece_no INT UNSIGNED NOT NULL DEFAULT 0,
    created_at DATETIME(3) NOT NULL
  )`);
  await db.raw(`CREATE TABLE person (
    id UUID NOT NULL PRIMARY KEY,
    name VARCHAR(120) NOT NULL,
    login VARCHAR(60) NOT NULL UNIQUE,
    password_hash VARCHAR(200) NOT NULL,
    role ENUM('technician','teacher','student') NOT NULL,
    created_at DATETIME(3) NOT NULL,
    disabled_at DATETIME(3) NULL
  )`);
  await db.raw(`CREATE TABLE invitation (
    id UUID NOT NULL PRIMARY KEY,
    token_hash CHAR(64) CHARACTER SET ascii NOT NULL UNIQUE,
    role ENUM('technician','teacher','student') NOT NULL,
    name VARCHAR(120) NOT NULL,
    created_by UUID NOT NULL REFERENCES person (id),
    created_at DATETIME(3) NOT NULL,
    expires_at DATETIME(3) NOT NULL,
    used_at DATETIME(3) NULL,
    withdrawn_at DATETIME(3) NULL
  )`);
  await db.raw(`CREATE TABLE session (
    token_hash CHAR(64) CHARACTER SET ascii NOT NULL PRIMARY KEY,
    person_id UUID NOT NULL REFERENCES person (id),
    created_at DATETIME(3) NOT NULL,
    expires_at DATETIME(3) NOT NULL,
    KEY session_person (person_id)
  )`);
  await db.raw(`CREATE TABLE share_link (
    id UUID NOT NULL PRIMARY KEY,
    token CHAR(43) CHARACTER SET ascii COLLATE ascii_bin NOT NULL UNIQUE,
    label VARCHAR(120) NOT NULL,
    view VARCHAR(500) NOT NULL,
    created_by UUID NOT NULL REFERENCES person (id),
    created_at DATETIME(3) NOT NULL,
    expires_at DATETIME(3) NULL,
    revoked_at DATETIME(3) NULL
  )`);
  await db.raw(`CREATE TABLE operation (
    id UUID NOT NULL PRIMARY KEY,
    name VARCHAR(60) NOT NULL,
    person_id UUID NULL,
    at DATETIME(3) NOT NULL,
    result JSON NOT NULL,
    KEY operation_at (at)
  )`);
  await db.raw(`CREATE TABLE attempt (
    \`key\` VARCHAR(255) NOT NULL PRIMARY KEY,
    points INT NOT NULL DEFAULT 0,
    expire BIGINT UNSIGNED NULL
  )`);
}
