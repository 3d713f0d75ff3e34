/** Pieces that show one coating by itself on a bare body, once fired, and whether they craze. */
import type { Examined } from '@/core/fit';
import { coatsOfKey } from '@/core/zones';
import type { Row, Source } from './database';

const DAY = 86_400_000;
/** The newest are enough to place a body by: a page stays quick however old a studio is. */
const MOST = 20_000;

/** A piece of one coating version; its computed expansion is not known here. */
export type Shown = Omit<Examined, 'expansion' | 'glaze'> & {
  bodyId: string;
  slug: string;
  version: number;
  pieceId: string;
};

/** Everything that was gone over and shows one glaze alone, of all bodies or of one. */
export async function examinedPieces(src: Source, bodyId?: string): Promise<Shown[]> {
  const query = src('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .join('firing', 'firing.id', 'sighting.firing_id')
    .where({ 'cell.depth': 1, 'cell.slips': '', 'cell.refired': false })
    .where((one) =>
      one
        .whereNotNull('sighting.surface')
        .orWhereNotNull('sighting.opacity')
        .orWhereNotNull('sighting.colour')
        .orWhereNotNull('sighting.rating')
        .orWhereRaw('JSON_LENGTH(sighting.signs) > 0'),
    )
    .select(
      'cell.body_id',
      'cell.stack_key',
      'sighting.piece_id',
      'sighting.seen_at',
      'sighting.signs',
      'sighting.changes',
      'firing.opened_at',
    )
    .orderBy('sighting.seen_at', 'desc')
    .limit(MOST);
  if (bodyId !== undefined) query.where('cell.body_id', bodyId);
  return ((await query) as Row[]).flatMap((row): Shown[] => {
    const [coat] = coatsOfKey(row.stack_key);
    if (coat === undefined) return [];
    const crazed = (row.signs as { sign: string }[]).some(({ sign }) => sign === 'crazing');
    const later = (row.changes as { later: string[] }).later.includes('crazing');
    const since = row.opened_at === null ? 0 : row.seen_at.getTime() - row.opened_at.getTime();
    return [
      {
        bodyId: row.body_id,
        slug: coat.slug,
        version: coat.version,
        pieceId: row.piece_id,
        found: crazed ? (later ? 'crazed later' : 'crazed at once') : 'sound',
        days: Math.max(0, since / DAY),
        coats: Number(/×(\d+)/.exec(coat.amount)?.[1] ?? 1),
      },
    ];
  });
}
