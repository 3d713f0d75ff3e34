import type { Knex } from 'knex';

/**
 * Logs kept on paper: switches, flame and peep holes in the diary, when a line or reading was written
 * down, why a reading was struck or put right, a pyrometer's own unit, and in which unit a log was said to
 * be.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE firing_entry
    MODIFY kind ENUM('atmosphere','lid','bungs','damper','gas','switch','flame','peep','shut-off','weather','note') NOT NULL,
    ADD COLUMN added_at DATETIME(3) NULL`);
  await db.raw(`ALTER TABLE reading
    ADD COLUMN added_at DATETIME(3) NULL,
    ADD COLUMN was_celsius FLOAT NULL,
    ADD COLUMN changed_why VARCHAR(200) NULL,
    ADD COLUMN changed_by UUID NULL REFERENCES person (id)`);
  await db.raw(`ALTER TABLE kiln ADD COLUMN shows_unit ENUM('C','F') NULL`);
  await db.raw(`ALTER TABLE firing ADD COLUMN unit_said ENUM('C','F') NULL`);
}
