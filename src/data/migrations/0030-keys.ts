import type { Knex } from 'knex';

/** What lies on a piece may be known surely, likely, or be lost: a key remembered is not a key on record. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE piece
    ADD COLUMN key_known ENUM('sure', 'likely', 'lost') NOT NULL DEFAULT 'sure'`);
  await db.raw(`UPDATE piece SET key_known = 'lost' WHERE coats_known = FALSE`);
  await db.raw('ALTER TABLE piece DROP COLUMN coats_known');
}
