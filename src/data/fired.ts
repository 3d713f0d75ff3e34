/** Pieces as they went through firings: what their cells follow from. */
import { airAt } from '@/core/atmosphere';
import type { Seen } from '@/core/looks';
import type { Refire } from '@/core/journey';
import type { Verdict } from '@/core/signs';
import { circumstances, type FiredPiece } from '@/core/standing';
import type { Row, Source } from './database';
import type { FiringStatus } from '@/core/firing';
import { listObservations } from './observations';
import { groupFaces, joinFaces, layersOf } from './layers';

export type Pair = { pieceId: string; firingId: string };

/** A fired piece with what its cells and its writers need besides. */
export type Fired = Omit<FiredPiece, 'seen'> & {
  bodyId: string;
  firingStatus: FiringStatus;
  openedAt: Date | null;
  seen: SeenObservation[];
};
export type SeenObservation = Seen & {
  id: string;
  verdict: Verdict | null;
  refire?: Refire | null;
};

/** Reads the fired pieces of these pairs with everything their cells follow from. */
export async function loadFired(src: Source, pairs: readonly Pair[]): Promise<Fired[]> {
  if (pairs.length === 0) return [];
  const pieceIds = [...new Set(pairs.map((pair) => pair.pieceId))];
  const wanted = new Set(pairs.map((pair) => `${pair.pieceId}/${pair.firingId}`));
  const key = (row: Row): string => `${row.piece_id}/${row.firing_id}`;
  const placed = joinFaces(
    src('placement')
      .join('piece', 'piece.id', 'placement.piece_id')
      .join('body', 'body.id', 'piece.body_id')
      .join('firing', 'firing.id', 'placement.firing_id')
      .join('kiln', 'kiln.id', 'firing.kiln_id')
      .leftJoin('lot', 'lot.id', 'piece.lot_id')
      .whereIn('placement.piece_id', pieceIds)
      .whereIn('placement.firing_id', [...new Set(pairs.map((pair) => pair.firingId))])
      .whereNull('piece.binned_at')
      .select(
        'placement.piece_id',
        'placement.firing_id',
        'placement.shelf',
        'placement.setting',
        'placement.generation',
        'piece.form',
        'piece.body_id',
        'body.slug as body_slug',
        'firing.no',
        'firing.kind',
        'firing.status as firing_status',
        'firing.opened_at',
        'firing.cone_band',
        'firing.cone_known',
        'firing.atmosphere',
        'firing.shelf_air',
        'firing.fullness',
        'kiln.name as kiln_name',
        'kiln.nobody_knows',
        'piece.key_known',
        'lot.name as lot_name',
      ),
  );
  const firingIds = new Set(pairs.map((pair) => pair.firingId));
  // Asked together: the next is made ready while the database answers the one before.
  const [found, layers, seen] = await Promise.all([
    placed as Promise<Row[]>,
    layersOf(src, pieceIds, ['done']),
    listObservations(src, {
      pieceIds,
      current: true,
      ...(firingIds.size === 1 ? { firingId: [...firingIds][0] as string } : {}),
    }),
  ]);
  const own = found.filter((row) => wanted.has(key(row)));
  const rows = [...new Map(own.map((row) => [key(row), row])).values()];
  if (rows.length === 0) return [];
  const faces = groupFaces(own, key);
  const seenBy = new Map<string, SeenObservation[]>();
  for (const one of seen) {
    const pair = `${one.pieceId}/${one.firingId}`;
    seenBy.set(pair, [
      ...(seenBy.get(pair) ?? []),
      { ...one, by: one.seenBy, seenAt: one.seenAt.toISOString() },
    ]);
  }
  return rows.map((row) => {
    const coats = layers.get(row.piece_id) ?? [];
    return {
      pieceId: row.piece_id,
      firingId: row.firing_id,
      generation: row.generation,
      body: row.body_slug,
      bodyId: row.body_id,
      firingStatus: row.firing_status,
      openedAt: row.opened_at,
      // What nobody knows of is no evidence: without faces it stands in no cell.
      faces: row.key_known === 'lost' ? [] : (faces.get(key(row)) ?? []),
      form: row.form,
      layers: coats,
      cone: row.cone_band,
      coneKnown: row.cone_known,
      atmosphere: airAt({ atmosphere: row.atmosphere, shelfAir: row.shelf_air }, row.shelf),
      variables: circumstances({
        kiln: row.nobody_knows ? null : row.kiln_name,
        firing: `${row.kiln_name} ${row.no}`,
        kind: row.kind,
        fullness: row.fullness,
        shelf: row.shelf,
        setting: row.setting,
        generation: row.generation,
        form: row.form,
        lot: row.lot_name,
        layers: coats.filter((layer) => layer.generation <= row.generation),
      }),
      seen: seenBy.get(key(row)) ?? [],
    };
  });
}

/** Every firing a piece has been placed in: what a change of its layers touches. */
export async function pairsOf(
  src: Source,
  filter: { pieceIds?: readonly string[]; firingId?: string },
): Promise<Pair[]> {
  const query = src('placement').select('piece_id', 'firing_id');
  if (filter.pieceIds) query.whereIn('piece_id', filter.pieceIds);
  if (filter.firingId !== undefined) query.where('firing_id', filter.firingId);
  return (await query).map((row: Row) => ({ pieceId: row.piece_id, firingId: row.firing_id }));
}
