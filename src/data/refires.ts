/** Pieces that went in again, with what was seen before and after. */
import { stateOf, wentOver, type RefirePassage, type SeenSign } from '@/core/looks';
import { coatsOfKey, plainStack } from '@/core/zones';
import type { Row, Source } from './database';
import { listObservations, toldOf } from './observations';

/** So many of the newest are enough to know what refires do here. */
const MOST = 1500;

/** Refires of pieces whose surface somebody went over both before and after, the newest first. */
export async function refirePassages(src: Source): Promise<RefirePassage[]> {
  const rows: Row[] = await src('placement as again')
    .join('placement as first', function () {
      this.on('first.piece_id', 'again.piece_id').andOn('first.generation', src.raw('again.generation - 1'));
    })
    .join('firing as later', 'later.id', 'again.firing_id')
    .join('firing as earlier', 'earlier.id', 'first.firing_id')
    .join('piece', 'piece.id', 'again.piece_id')
    .where('again.generation', '>', 1)
    .where({ 'later.status': 'opened', 'earlier.status': 'opened' })
    .whereNull('piece.binned_at')
    .orderBy('later.opened_at', 'desc')
    .limit(MOST)
    .select('again.piece_id', 'again.firing_id', 'first.firing_id as before_id');
  if (rows.length === 0) return [];
  const pieceIds = [...new Set(rows.map((row) => row.piece_id as string))];
  const [looks, sightings] = await Promise.all([
    listObservations(src, { pieceIds, current: true }),
    src('sighting')
      .join('cell', 'cell.id', 'sighting.cell_id')
      .whereIn('sighting.piece_id', pieceIds)
      .select('piece_id', 'firing_id', 'stack_key') as Promise<Row[]>,
  ]);
  const seen = (pieceId: string, firingId: string): SeenSign[] | null => {
    const told = toldOf(looks, pieceId, firingId);
    const state = stateOf(told);
    return state === null || !told.some(wentOver)
      ? null
      : state.cameOut.signs.filter(({ wanted }) => !wanted);
  };
  return rows.flatMap((row): RefirePassage[] => {
    const [before, after] = [seen(row.piece_id, row.before_id), seen(row.piece_id, row.firing_id)];
    if (before === null || after === null) return [];
    const stacks = sightings
      .filter((one) => one.piece_id === row.piece_id && one.firing_id === row.firing_id)
      .map((one) => plainStack(coatsOfKey(one.stack_key).map((coat) => ({ coat }))));
    return [{ firingId: row.firing_id, stacks: [...new Set(stacks)], before, after }];
  });
}
