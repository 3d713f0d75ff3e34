/** Pieces in firings: shelf, place, and what they stood on. */
import type { Setting } from '@/core/firing';
import { NOWHERE } from '@/core/load';
import type { Row, Source } from './database';
import { newId } from './ids';

export type Placement = {
  id: string;
  firingId: string;
  pieceId: string;
  shelf: number | null;
  position: string;
  setting: Setting;
  generation: number;
  /** Middle of its footprint on the shelf, mm; null when it was not planned. */
  xMm: number | null;
  yMm: number | null;
  turned: boolean;
  /** It was on no list when the kiln was lit. */
  late: boolean;
};

const placement = (row: Row): Placement => ({
  id: row.id,
  firingId: row.firing_id,
  pieceId: row.piece_id,
  shelf: row.shelf,
  position: row.position,
  setting: row.setting,
  generation: row.generation,
  xMm: row.x_mm,
  yMm: row.y_mm,
  turned: Boolean(row.turned),
  late: Boolean(row.late),
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
export async function glazeFirings(src: Source, pieceIds: readonly string[]): Promise<Map<string, number>> {
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

/**
 * Somebody's own pieces that came out of a kiln and that nobody has written up, by firing, the newest first.
 */
export async function ownUnwritten(
  src: Source,
  ownerId: string,
): Promise<{ firingId: string; label: string; pieces: number }[]> {
  const rows: Row[] = await src('placement')
    .join('piece', 'piece.id', 'placement.piece_id')
    .join('firing', 'firing.id', 'placement.firing_id')
    .join('kiln', 'kiln.id', 'firing.kiln_id')
    .where({ 'piece.owner_id': ownerId, 'firing.status': 'opened' })
    .whereNull('piece.binned_at')
    .whereNot('firing.kind', 'bisque')
    .whereNotExists(
      src('observation')
        .whereRaw('observation.piece_id = placement.piece_id AND observation.firing_id = placement.firing_id')
        .whereNull('superseded_at')
        .select(src.raw('1')),
    )
    .groupBy('firing.id', 'firing.no', 'firing.opened_at', 'kiln.name')
    .orderBy('firing.opened_at', 'desc')
    .select('firing.id', 'firing.no', 'kiln.name')
    .count({ n: '*' });
  return rows.map((row) => ({
    firingId: row.id,
    label: `${row.name} ${row.no}`,
    pieces: Number(row.n),
  }));
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
  return new Map(rows.map((row) => [row.piece_id, { firingId: row.id, label: `${row.name} ${row.no}` }]));
}

export async function place(
  src: Source,
  placements: readonly (Omit<Placement, 'late'> & { open: boolean; late?: boolean })[],
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
        x_mm: one.xMm,
        y_mm: one.yMm,
        turned: one.turned,
        late: one.late ?? false,
        placed_by: by,
        placed_at: now,
      })),
    );
  }
}

/** Puts pieces into a firing that were on no list and came out of it: nobody knows where they stood. */
export const placeFound = (
  src: Source,
  firingId: string,
  pieceIds: readonly string[],
  by: string,
  now: Date,
): Promise<void> =>
  place(
    src,
    pieceIds.map((pieceId) => ({
      id: newId(),
      firingId,
      pieceId,
      shelf: null,
      position: '',
      setting: 'unknown',
      generation: 1,
      open: false,
      late: true,
      ...NOWHERE,
    })),
    by,
    now,
  );

/** Puts a piece where the plan has it. */
export async function arrange(
  src: Source,
  firingId: string,
  spot: Pick<Placement, 'id' | 'shelf' | 'xMm' | 'yMm' | 'turned'>,
): Promise<void> {
  await src('placement')
    .where({ id: spot.id, firing_id: firingId })
    .update({ shelf: spot.shelf, x_mm: spot.xMm, y_mm: spot.yMm, turned: spot.turned });
}

export async function setSetting(
  src: Source,
  firingId: string,
  ids: readonly string[],
  setting: Setting,
): Promise<void> {
  await src('placement').where({ firing_id: firingId }).whereIn('id', ids).update({ setting });
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

/** Was this piece in that firing? */
export const wasIn = async (src: Source, pieceId: string, firingId: string): Promise<boolean> =>
  (await src('placement').where({ piece_id: pieceId, firing_id: firingId }).first('piece_id')) !== undefined;

/** As they stood: shelf by shelf, each row by row from its back, as a picture from its front is read. */
export const asTheyStood = (
  a: Pick<Placement, 'shelf' | 'xMm' | 'yMm'>,
  b: Pick<Placement, 'shelf' | 'xMm' | 'yMm'>,
): number => (a.shelf ?? 99) - (b.shelf ?? 99) || (b.yMm ?? 0) - (a.yMm ?? 0) || (a.xMm ?? 0) - (b.xMm ?? 0);
