import type { Knex } from 'knex';

/**
 * What a technician says of a cause here, with the reason; the newest of a cause stands, the older stay on
 * record.
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`CREATE TABLE clinic_cause (
    id UUID NOT NULL PRIMARY KEY,
    cause VARCHAR(40) CHARACTER SET ascii NOT NULL,
    off BOOLEAN NOT NULL,
    factor DOUBLE NOT NULL,
    reason VARCHAR(500) NOT NULL,
    said_by UUID NOT NULL REFERENCES person (id),
    said_at DATETIME(3) NOT NULL,
    KEY clinic_cause_of (cause, said_at)
  )`);
}
