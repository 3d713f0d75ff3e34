import type { Knex } from 'knex';

const DAY = 86_400_000;
type Kept = {
  id: string;
  supersedes: string | null;
  seen_by: string;
  seen_at: Date;
  superseded_at: Date | null;
};

/**
 * Several looks at one piece stand beside one another; only a correction replaces one. What had
 * replaced another person's words, or words of a day before, becomes a look of its own; where
 * that was within a week it may have been meant as a correction, and a technician is asked
 * (doubted_as names the look it had replaced).
 */
export async function up(db: Knex): Promise<void> {
  await db.raw(`ALTER TABLE observation
    ADD COLUMN arrived_at DATETIME(3) NULL AFTER seen_at,
    ADD COLUMN place ENUM('kiln','desk') NOT NULL DEFAULT 'kiln' AFTER seen_by,
    ADD COLUMN doubted_as UUID NULL,
    ADD KEY observation_doubted (doubted_as)`);
  await db.raw('UPDATE observation SET arrived_at = seen_at');
  await db.raw('ALTER TABLE observation MODIFY COLUMN arrived_at DATETIME(3) NOT NULL');

  const rows: Kept[] = await db('observation')
    .where((one) =>
      one
        .whereNotNull('supersedes')
        .orWhereIn('id', db('observation').whereNotNull('supersedes').select('supersedes')),
    )
    .select('id', 'supersedes', 'seen_by', 'seen_at', 'superseded_at');
  const byId = new Map(rows.map((row) => [row.id, row]));
  const replaced = new Set(rows.flatMap((row) => row.supersedes ?? []));
  for (const row of rows) {
    const old = row.supersedes === null ? undefined : byId.get(row.supersedes);
    // What was taken back again replaces nothing: superseded, with nothing in its place.
    const withdrawn = row.superseded_at !== null && !replaced.has(row.id);
    if (old === undefined || old.superseded_at === null || withdrawn) continue;
    const apart = row.seen_at.getTime() - old.seen_at.getTime();
    if (row.seen_by === old.seen_by && apart < DAY) continue;
    await db('observation').where({ id: old.id }).update({ superseded_at: null });
    await db('observation')
      .where({ id: row.id })
      .update({ supersedes: null, doubted_as: apart < 7 * DAY ? old.id : null });
  }
  await db.raw(`ALTER TABLE observation
    DROP KEY observation_whole,
    DROP COLUMN current_key,
    ADD KEY observation_whole (piece_id, zone, superseded_at)`);

  // Summaries, made again after this step: what they say more, and that those of refires are apart.
  await db.raw(`ALTER TABLE sighting
    ADD COLUMN changes JSON NOT NULL DEFAULT '{"later":[],"gone":[],"surfaceWas":null}',
    ADD COLUMN split JSON NOT NULL DEFAULT '[]'`);
  await db.raw(`ALTER TABLE cell
    MODIFY COLUMN standing
      ENUM('untried','once','repeated','settled','depends','contradictory') NOT NULL,
    DROP COLUMN contradictions,
    ADD COLUMN refired BOOLEAN NOT NULL DEFAULT FALSE,
    ADD COLUMN speaking INT UNSIGNED NOT NULL DEFAULT 0,
    ADD COLUMN agreeing INT UNSIGNED NOT NULL DEFAULT 0,
    ADD COLUMN ratings JSON NULL,
    ADD COLUMN later JSON NOT NULL DEFAULT '[]',
    ADD COLUMN gone JSON NOT NULL DEFAULT '[]',
    ADD COLUMN split INT UNSIGNED NOT NULL DEFAULT 0,
    ADD COLUMN known JSON NOT NULL DEFAULT '{}',
    ADD COLUMN divisions JSON NOT NULL DEFAULT '[]',
    ADD COLUMN stale BOOLEAN NOT NULL DEFAULT FALSE,
    ADD KEY cell_stale (stale)`);
}
