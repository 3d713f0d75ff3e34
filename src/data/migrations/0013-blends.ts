import type { Knex } from 'knex';

type Tile = { version: string; no: number; label: string };

/** Every blend of a question is named by its tiles and its mix, wherever the coating is named. */
export async function up(db: Knex): Promise<void> {
  const tiles: Tile[] = await db('question_tile')
    .join('layer', 'layer.piece_id', 'question_tile.piece_id')
    .join('coating_version', 'coating_version.id', 'layer.coating_version_id')
    .join('coating', 'coating.id', 'coating_version.coating_id')
    .where('coating.trial', true)
    .where('layer.intent', 'meant')
    .orderBy('question_tile.no')
    .distinct('coating_version.id as version', 'question_tile.no', 'question_tile.label');
  const byVersion = new Map<string, Tile[]>();
  for (const tile of tiles) byVersion.set(tile.version, [...(byVersion.get(tile.version) ?? []), tile]);
  for (const [id, own] of byVersion)
    await db('coating_version')
      .where({ id })
      .update({
        notes: `${own.length === 1 ? 'tile' : 'tiles'} ${own.map(({ no }) => no).join(', ')}: ${own[0]!.label}`,
      });
}
