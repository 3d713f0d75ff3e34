import type { Knex } from 'knex';

/** Ware has named surfaces; what was recorded before has one face, of which nobody said which it is. */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE face
    ADD COLUMN surface ENUM('outside','inside','rim','foot','lid') NULL`);
}
