/**
 * What the records hold of the work around a fault: when it was glazed and by whom, where it was bisqued,
 * what stood near.
 */
import { groupRows } from './rows';
import type { Row, Source } from './database';

export type Worked = {
  pieceId: string;
  /** When its coats were first written down, and by whom, unless it is somebody's own. */
  glazedAt: Date | null;
  person: string | null;
  bisqueId: string | null;
};

/** How pieces came to a firing. */
export async function workedOn(src: Source, pieceIds: readonly string[]): Promise<Worked[]> {
  if (pieceIds.length === 0) return [];
  const rows: Row[] = await src('piece')
    .whereIn('piece.id', pieceIds)
    .leftJoin(
      src('layer')
        .where({ intent: 'done' })
        .whereIn('piece_id', pieceIds)
        .groupBy('piece_id')
        .select('piece_id')
        .min({ glazed_at: 'recorded_at' })
        .select(src.raw('MIN(recorded_by) AS recorded_by'))
        .as('work'),
      'work.piece_id',
      'piece.id',
    )
    .leftJoin(
      src('placement')
        .join('firing', 'firing.id', 'placement.firing_id')
        .where('firing.kind', 'bisque')
        .whereIn('placement.piece_id', pieceIds)
        .groupBy('placement.piece_id')
        .select('placement.piece_id')
        .select(src.raw('MAX(placement.firing_id) AS bisque_id'))
        .as('raw'),
      'raw.piece_id',
      'piece.id',
    )
    .select('piece.id', 'piece.owner_id', 'work.glazed_at', 'work.recorded_by', 'raw.bisque_id');
  return rows.map((row) => ({
    pieceId: row.id,
    glazedAt: row.glazed_at,
    person: row.owner_id ?? row.recorded_by,
    bisqueId: row.bisque_id,
  }));
}

export type StoodNear = {
  pieceId: string;
  shelf: number | null;
  xMm: number | null;
  yMm: number | null;
  versionIds: string[];
  /** False where nobody knows what lies on it. */
  coatsKnown: boolean;
};

/** What else was in a firing, where it stood and what lies on it. */
export async function stoodIn(src: Source, firingId: string): Promise<StoodNear[]> {
  const rows: Row[] = await src('placement')
    .join('piece', 'piece.id', 'placement.piece_id')
    .leftJoin('layer', function () {
      this.on('layer.piece_id', 'placement.piece_id')
        .andOnVal('layer.intent', 'done')
        .andOnNull('layer.superseded_at');
    })
    .where('placement.firing_id', firingId)
    .select('placement.piece_id', 'piece.key_known', 'shelf', 'x_mm', 'y_mm')
    .select('layer.coating_version_id');
  return [...groupRows(rows, (row) => row)].map(([pieceId, [first, ...rest]]) => ({
    pieceId,
    shelf: first!.shelf,
    xMm: first!.x_mm,
    yMm: first!.y_mm,
    coatsKnown: first!.key_known !== 'lost',
    versionIds: [first!, ...rest].flatMap((row) => row.coating_version_id ?? []),
  }));
}
