import type { Knex } from 'knex';

/** The sign that the tiles of a question are looked at for. */
export async function up(db: Knex): Promise<void> {
  await db.raw('ALTER TABLE question ADD COLUMN about VARCHAR(40) NULL');
  // Crazing ladders ask about crazing.
  await db.raw(`UPDATE question SET about = 'crazing' WHERE JSON_VALUE(design, '$.kind') = 'crazing'`);
}
