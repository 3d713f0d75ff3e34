import type { Knex } from 'knex';

/** When a cell last changed, kept by the database itself: what nobody changed need not be sent again. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE cell
    ADD COLUMN changed_at DATETIME(6) INVISIBLE NOT NULL
      DEFAULT CURRENT_TIMESTAMP(6) ON UPDATE CURRENT_TIMESTAMP(6)`);
}
