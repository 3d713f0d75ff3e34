/** Pieces in firings: shelf, place, and what they stood on. */
import type { Setting } from '@/core/firing';
import type { Row, Source } from './database';

export type Placement = {
  id: string;
  firingId: string;
  pieceId: string;
  shelf: number | null;
  position: string;
  setting: Setting;
  generation: number;
};

const placement = (row: Row): Placement => ({
  id: row.id,
  firingId: row.firing_id,
  pieceId: row.piece_id,
  shelf: row.shelf,
  position: row.position,
  setting: row.setting,
  generation: row.generation,
});

export async function listPlacements(
  src: Source,
  filter: { firingId?: string; pieceIds?: readonly string[] },
): Promise<Placement[]> {
  const query = src('placement').orderBy(['shelf', 'placed_at', 'id']);
  if (filter.firingId !== undefined) query.where('firing_id', filter.firingId);
  if (filter.pieceIds) query.whereIn('piece_id', filter.pieceIds);
  return (await query).map(placement);
}

/** How often each piece has already been through a glaze firing, by piece id. */
export async function glazeFirings(
  src: Source,
  pieceIds: readonly string[],
): Promise<Map<string, number>> {
  const rows = await src('placement')
    .join('firing', 'firing.id', 'placement.firing_id')
    .whereIn('placement.piece_id', pieceIds)
    .whereNot('firing.kind', 'bisque')
    .where('firing.status', 'opened')
    .groupBy('placement.piece_id')
    .select('placement.piece_id')
    .count({ n: '*' });
  return new Map(rows.map((row: Row) => [String(row.piece_id), Number(row.n)]));
}

/** Which open firing holds each of these pieces, if any. */
export async function openFiringsOf(
  src: Source,
  pieceIds: readonly string[],
): Promise<Map<string, { firingId: string; label: string }>> {
  const rows = await src('placement')
    .join('firing', 'firing.id', 'placement.firing_id')
    .join('kiln', 'kiln.id', 'firing.kiln_id')
    .whereIn('placement.open_piece_id', pieceIds)
    .select('placement.piece_id', 'firing.id', 'firing.no', 'kiln.name');
  return new Map(
    rows.map((row) => [row.piece_id, { firingId: row.id, label: `${row.name} ${row.no}` }]),
  );
}

export async function place(
  src: Source,
  placements: readonly (Placement & { open: boolean })[],
  by: string,
  now: Date,
): Promise<void> {
  for (let i = 0; i < placements.length; i += 500) {
    await src('placement').insert(
      placements.slice(i, i + 500).map((one) => ({
        id: one.id,
        firing_id: one.firingId,
        piece_id: one.pieceId,
        open_piece_id: one.open ? one.pieceId : null,
        shelf: one.shelf,
        position: one.position,
        setting: one.setting,
        generation: one.generation,
        placed_by: by,
        placed_at: now,
      })),
    );
  }
}

export async function removePlacement(src: Source, id: string): Promise<void> {
  await src('placement').where({ id }).delete();
}

/** Number of pieces in each firing. */
export async function countPlacements(
  src: Source,
  firingIds: readonly string[],
): Promise<Map<string, number>> {
  const rows = await src('placement')
    .whereIn('firing_id', firingIds)
    .groupBy('firing_id')
    .select('firing_id')
    .count({ n: '*' });
  return new Map(rows.map((row: Row) => [String(row.firing_id), Number(row.n)]));
}
