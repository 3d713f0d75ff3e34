import type { Knex } from 'knex';

/**
 * A session knows its device and when it was last used, so that it can be listed, ended and run out when it
 * lies idle; a device that somebody has signed in from is known; a forgotten password is set anew by a link.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE session
    ADD COLUMN id UUID NULL,
    ADD COLUMN device VARCHAR(120) NOT NULL DEFAULT '',
    ADD COLUMN seen_at DATETIME(3) NULL`);
  await db.raw('UPDATE session SET id = UUID(), seen_at = created_at');
  await db.raw(`ALTER TABLE session
    MODIFY id UUID NOT NULL, MODIFY seen_at DATETIME(3) NOT NULL, ADD UNIQUE KEY session_id (id)`);
  await db.raw(`CREATE TABLE known_device (
    person_id UUID NOT NULL REFERENCES person (id),
    token_hash CHAR(64) CHARACTER SET ascii NOT NULL,
    seen_at DATETIME(3) NOT NULL,
    PRIMARY KEY (person_id, token_hash)
  )`);
  await db.raw(`CREATE TABLE reset_link (
    id UUID NOT NULL PRIMARY KEY,
    token_hash CHAR(64) CHARACTER SET ascii NOT NULL UNIQUE,
    person_id UUID NOT NULL REFERENCES person (id),
    created_by UUID NOT NULL REFERENCES person (id),
    created_at DATETIME(3) NOT NULL,
    expires_at DATETIME(3) NOT NULL,
    used_at DATETIME(3) NULL,
    KEY reset_person (person_id)
  )`);
}
