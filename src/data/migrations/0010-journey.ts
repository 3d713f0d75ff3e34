import type { Knex } from 'knex';

/**
 * What a piece was made for is kept; what it waits for follows from that, its firings and its looks
 * (waiting_for becomes a summary, made again after this step).
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE piece ADD COLUMN made_for ENUM('bisque','glaze') NULL AFTER waiting_for`);
  await db.raw(`UPDATE piece SET made_for = CASE
    WHEN waiting_for = 'bisque' THEN 'bisque'
    WHEN EXISTS (
      SELECT 1 FROM placement JOIN firing ON firing.id = placement.firing_id
      WHERE placement.piece_id = piece.id AND firing.kind = 'bisque' AND firing.status = 'opened'
    ) THEN 'bisque'
    WHEN waiting_for = 'glaze' THEN 'glaze'
    WHEN EXISTS (SELECT 1 FROM placement WHERE placement.piece_id = piece.id) THEN 'glaze'
    ELSE NULL END`);
  await db.raw('ALTER TABLE observation ADD KEY observation_whole (piece_id, zone, current_key)');
}
