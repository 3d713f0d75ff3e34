/** Sums cells up from their sightings. */
import { apartIn, deltaE, together, type PieceColour, type TogetherColour } from '@/core/colour';
import { CONE_KNOWN } from '@/core/firing';
import { summarise } from '@/core/standing';
import type { Row, Source } from './database';
import { coloursOfCells, freshenRepeats, NO_REPEATS, readRepeats } from './repeats';
import { groupRows } from './rows';
import { bestPicture, sightingsInPictures } from './zone-pictures';

/** So many cells, pieces or rows are read and written at once. */
export const CHUNK = 400;

/** A cell of more pieces is summed up when it is next read, not while somebody saves. */
const LARGE = 400;

/** A cell that is held by the transaction, with how many pieces it was summed up from last. */
export type HeldCell = { id: string; pieces: number };

/**
 * Sums up held cells from their sightings; a cell that nothing stands in any more is removed. Large ones
 * are only marked: what they say is made again before they are read (freshen).
 */
export async function summariseCells(src: Source, cells: readonly HeldCell[]): Promise<void> {
  const ids = cells.map(({ id }) => id);
  const large = new Set(cells.flatMap(({ id, pieces }) => (pieces > LARGE ? [id] : [])));
  if (large.size > 0)
    await src('cell')
      .whereIn('id', [...large])
      .update({ stale: true });
  await sumUp(
    src,
    ids.filter((id) => !large.has(id)),
  );
}

/**
 * Sums up the cells that were marked, each held while it is read. Cheap when there are none: then it answers
 * with false.
 */
export async function freshen(src: Source): Promise<boolean> {
  await freshenRepeats(src);
  const ids: string[] = await src('cell').where({ stale: true }).orderBy('id').pluck('id');
  for (let i = 0; i < ids.length; i += AT_ONCE)
    await src.transaction(async (trx) => {
      const held: string[] = await trx('cell')
        .whereIn('id', ids.slice(i, i + AT_ONCE))
        .where({ stale: true })
        .orderBy('id')
        .forUpdate()
        .pluck('id');
      if (held.length > 0) await sumUp(trx, held);
    });
  return ids.length > 0;
}
/** So few that nobody who saves waits long for one of them. */
const AT_ONCE = 25;

async function sumUp(src: Source, ids: readonly string[]): Promise<void> {
  for (let i = 0; i < ids.length; i += CHUNK) {
    const chunk = ids.slice(i, i + CHUNK);
    const rows: Row[] = await sightingsInPictures(src).whereIn('sighting.cell_id', chunk);
    const byCell = groupRows(
      rows,
      (row) => row,
      (row) => row.cell_id,
    );
    const empty = chunk.filter((id) => !byCell.has(id));
    if (empty.length > 0) await src('cell').whereIn('id', empty).delete();
    // Only what is framed can be measured.
    const framed = rows.some((row) => row.shape !== null);
    const [colours, repeats] = framed
      ? await Promise.all([coloursOfCells(src, [...byCell.keys()]), readRepeats(src)])
      : [[], NO_REPEATS];
    const colourOf = groupRows(
      colours,
      (one) => one,
      ({ cellId }) => cellId,
    );
    await writeSummaries(
      src,
      [...byCell].map(([id, list]) => summaryRow(src, id, list, colourOf.get(id) ?? [], apartIn(repeats))),
    );
  }
}

/** Those whose colour is not that of most. */
const oddOnes = (
  colours: readonly PieceColour[],
  middle: TogetherColour | null,
  apart: number,
): ReadonlySet<string> =>
  new Set(
    colours
      .filter(({ lab }) => middle !== null && deltaE(lab, middle.lab) > apart / 2)
      .map(({ pieceId, firingId }) => `${pieceId}/${firingId}`),
  );

function summaryRow(
  src: Source,
  id: string,
  rows: readonly Row[],
  colours: readonly PieceColour[],
  apart: number,
): Row {
  const labs = new Map(colours.map((one) => [`${one.pieceId}/${one.firingId}`, one.lab]));
  const unique = new Map(rows.map((row) => [`${row.piece_id}/${row.firing_id}`, row]));
  const summary = summarise(
    [...unique].map(([pair, row]) => ({
      lab: labs.get(pair) ?? null,
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
    apart,
  );
  const colour = together(colours);
  const best = bestPicture(rows, oddOnes(colours, colour, apart));
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
    colour: colour === null ? null : JSON.stringify(colour),
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
  'colour',
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
