/** Sums cells up from their sightings. */
import { CONE_KNOWN } from '@/core/firing';
import { cutOf, type Cut, type Shape } from '@/core/frame';
import { summarise } from '@/core/standing';
import { parseZoneKey } from '@/core/zones';
import type { Row, Source } from './database';
import { CHUNK } from './cells';
import { groupRows } from './rows';

/** A cell of more pieces is summed up when it is next read, not while somebody saves. */
const LARGE = 400;

/**
 * Sums up cells from their sightings; a cell that nothing stands in any more is removed. Large ones
 * are only marked: what they say is made again before they are read (freshen).
 */
export async function summariseCells(src: Source, ids: readonly string[]): Promise<void> {
  const large = new Set<string>(
    await src('cell').whereIn('id', ids).where('pieces', '>', LARGE).pluck('id'),
  );
  if (large.size > 0)
    await src('cell')
      .whereIn('id', [...large])
      .update({ stale: true });
  await sumUp(
    src,
    ids.filter((id) => !large.has(id)),
  );
}

/** Sums up the cells that were marked, each held while it is read. Cheap when there are none. */
export async function freshen(src: Source): Promise<void> {
  const ids: string[] = await src('cell').where({ stale: true }).pluck('id');
  for (const id of ids)
    await src.transaction(async (trx) => {
      const held = await trx('cell').where({ id, stale: true }).forUpdate().first('id');
      if (held !== undefined) await sumUp(trx, [id]);
    });
}

async function sumUp(src: Source, ids: readonly string[]): Promise<void> {
  for (let i = 0; i < ids.length; i += CHUNK) {
    const chunk = ids.slice(i, i + CHUNK);
    const rows: Row[] = await src('sighting')
      .join('piece', 'piece.id', 'sighting.piece_id')
      .leftJoin('photo', function () {
        this.on('photo.piece_id', 'sighting.piece_id')
          .andOn('photo.firing_id', 'sighting.firing_id')
          .andOnNull('photo.binned_at');
      })
      .leftJoin('frame', function () {
        this.on('frame.photo_id', 'photo.id')
          .andOn('frame.face_no', 'sighting.face_no')
          .andOnNull('frame.removed_at');
      })
      .whereIn('sighting.cell_id', chunk)
      .select('sighting.*', 'piece.code', 'photo.sha', 'photo.id as photo_id', 'photo.width', 'photo.height', 'frame.shape'); // prettier-ignore
    const byCell = groupRows(
      rows,
      (row) => row,
      (row) => row.cell_id,
    );
    const empty = chunk.filter((id) => !byCell.has(id));
    if (empty.length > 0) await src('cell').whereIn('id', empty).delete();
    await writeSummaries(
      src,
      [...byCell].map(([id, list]) => summaryRow(src, id, list)),
    );
  }
}

/** The best picture: one that is framed, so that the zone itself is seen; where the stack fills most of the piece, then of the one liked most, then seen last. */
function bestPicture(rows: readonly Row[]): { sha: string | null; code: string; cut: Cut | null } {
  const sorted = [...rows].sort(
    (a, b) =>
      Number(b.sha !== null) - Number(a.sha !== null) ||
      Number(b.shape !== null) - Number(a.shape !== null) ||
      Math.round(4 * (b.area - a.area)) ||
      (b.rating ?? 0) - (a.rating ?? 0) ||
      b.seen_at.getTime() - a.seen_at.getTime() ||
      String(b.photo_id ?? '').localeCompare(String(a.photo_id ?? '')) ||
      String(a.code).localeCompare(String(b.code)),
  );
  const best = sorted[0] as Row;
  const place = best.zone === null ? null : parseZoneKey(best.zone);
  const cut =
    best.shape === null || place === null
      ? null
      : cutOf(best.shape as Shape, place, best.height / best.width);
  return { sha: best.sha, code: best.code, cut };
}

function summaryRow(src: Source, id: string, rows: readonly Row[]): Row {
  const unique = new Map(rows.map((row) => [`${row.piece_id}/${row.firing_id}`, row]));
  const summary = summarise(
    [...unique.values()].map((row) => ({
      pieceId: row.piece_id,
      firingId: row.firing_id,
      seenAt: row.seen_at.toISOString(),
      surface: row.surface,
      opacity: row.opacity,
      colour: row.colour,
      movementMm: row.movement_mm,
      met: row.met,
      rating: row.rating,
      signs: row.signs,
      variables: row.variables,
      coneKnown: row.cone_known,
      changes: row.changes,
      split: row.split,
    })),
  );
  const best = bestPicture(rows);
  return {
    id,
    standing: summary.standing,
    pieces: summary.pieces,
    firings: summary.firings,
    surface: summary.surface,
    met: summary.met,
    movement_mm: summary.movementMm,
    rating: summary.rating,
    signs: JSON.stringify(summary.signs),
    divisions: JSON.stringify(summary.divisions),
    speaking: summary.speaking,
    agreeing: summary.agreeing,
    ratings: JSON.stringify(summary.ratings),
    later: JSON.stringify(summary.later),
    gone: JSON.stringify(summary.gone),
    split: summary.split,
    known: JSON.stringify(summary.known),
    stale: false,
    photo_sha: best.sha,
    photo_cut: best.cut === null ? null : JSON.stringify(best.cut),
    example_code: best.code,
    last_seen: new Date(summary.lastSeen),
    generation: Math.min(...rows.map((row) => row.generation as number)),
    cone_known: CONE_KNOWN.find((known) => rows.some((row) => row.cone_known === known)),
    // Also where the summary comes out the same: what it was made from did not.
    changed_at: src.fn.now(6),
  };
}

const SUMMARY_COLUMNS = [
  'standing',
  'pieces',
  'firings',
  'speaking',
  'agreeing',
  'surface',
  'met',
  'movement_mm',
  'rating',
  'ratings',
  'signs',
  'later',
  'gone',
  'split',
  'known',
  'divisions',
  'stale',
  'photo_sha',
  'photo_cut',
  'example_code',
  'last_seen',
  'generation',
  'cone_known',
  'changed_at',
];

/** Many cells in one statement: their rows exist and are held, so the insert always finds them. */
async function writeSummaries(src: Source, rows: readonly Row[]): Promise<void> {
  if (rows.length === 0) return;
  const one = rows[0] as Row;
  if (rows.length === 1) {
    const { id, ...summary } = one;
    await src('cell').where({ id }).update(summary);
    return;
  }
  const held: Row[] = await src('cell')
    .whereIn(
      'id',
      rows.map((row) => row.id as string),
    )
    .select('id', 'body_id', 'slips', 'cone', 'atmosphere', 'depth', 'stack_key', 'refired');
  const byId = new Map(held.map((row) => [row.id as string, row]));
  await src('cell')
    .insert(rows.map((row) => ({ ...byId.get(row.id as string), ...row })))
    .onConflict('id')
    .merge(SUMMARY_COLUMNS);
}
