import type { Knex } from 'knex';

/**
 * Shelves that are to be ground stay on a list until somebody has ground them. What ran before there
 * was a list is taken as ground by the day of this migration (`shelf` null: all shelves of a kiln).
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE kiln_upkeep
    MODIFY kind ENUM('elements','thermocouple','chrome','idle','repair','ground','other') NOT NULL,
    ADD COLUMN shelf TINYINT UNSIGNED NULL`);
  await db.raw(`INSERT INTO kiln_upkeep (id, kiln_id, kind, done_on, note, by_person, at)
    SELECT UUID(), kiln.id, 'ground', CURDATE(), '', who.id, NOW(3)
    FROM kiln JOIN (SELECT MIN(id) AS id FROM person) AS who
    WHERE who.id IS NOT NULL AND EXISTS (SELECT 1 FROM firing WHERE firing.kiln_id = kiln.id)`);
}
