/** Handing out: what came out of a kiln, to whom it belongs, where it can be collected, and what was. */
import type { Row, Source } from './database';

export type ToHand = {
  pieceId: string;
  code: string;
  ownerId: string;
  owner: string;
  collectedAt: Date | null;
};

/**
 * The pieces of a firing that belong to somebody and can be handed out, by owner and code: found in the kiln,
 * since somebody wrote of them, and not to be fired again.
 */
export async function listToHand(src: Source, firingId: string): Promise<ToHand[]> {
  const rows: Row[] = await src('placement')
    .join('piece', 'piece.id', 'placement.piece_id')
    .join('person', 'person.id', 'piece.owner_id')
    .where('placement.firing_id', firingId)
    .whereNull('piece.binned_at')
    .whereNull('piece.waiting_for')
    .whereExists(
      src('observation')
        .whereRaw('observation.piece_id = piece.id AND observation.firing_id = placement.firing_id')
        .whereNull('observation.superseded_at')
        .select(src.raw('1')),
    )
    .orderBy(['person.name', 'piece.code'])
    .select('piece.id', 'piece.code', 'piece.owner_id', 'person.name', 'placement.collected_at');
  return rows.map((row) => ({
    pieceId: row.id,
    code: row.code,
    ownerId: row.owner_id,
    owner: row.name,
    collectedAt: row.collected_at,
  }));
}

export async function setCollected(
  src: Source,
  firingId: string,
  pieceIds: readonly string[],
  { at, by }: { at: Date | null; by: string },
): Promise<void> {
  await src('placement')
    .where({ firing_id: firingId })
    .whereIn('piece_id', pieceIds)
    .update({ collected_at: at, collected_by: at === null ? null : by });
}

export async function setCollectFrom(src: Source, firingId: string, place: string): Promise<void> {
  await src('firing').where({ id: firingId }).update({ collect_from: place });
}

export const collectFrom = async (src: Source, firingId: string): Promise<string> =>
  ((await src('firing').where({ id: firingId }).first('collect_from')) as Row | undefined)?.collect_from ??
  '';

/** Where the studio last said that things lie, to be offered again. */
export const usualPlaces = (src: Source): Promise<string[]> =>
  src('firing')
    .whereNot('collect_from', '')
    .groupBy('collect_from')
    .orderByRaw('MAX(opened_at) DESC')
    .limit(4)
    .pluck('collect_from');

/**
 * What of somebody's lies ready, out of firings that are written up; older than a season it is not asked
 * about.
 */
export async function toCollect(
  src: Source,
  ownerId: string,
  since: Date,
): Promise<{ firingId: string; firing: string; place: string; pieces: { id: string; code: string }[] }[]> {
  const rows: Row[] = await src('placement')
    .join('piece', 'piece.id', 'placement.piece_id')
    .join('firing', 'firing.id', 'placement.firing_id')
    .join('kiln', 'kiln.id', 'firing.kiln_id')
    .where('piece.owner_id', ownerId)
    .whereNull('piece.binned_at')
    .whereNull('placement.collected_at')
    .where('firing.status', 'opened')
    .whereNotNull('firing.written_up_at')
    .where('firing.opened_at', '>=', since)
    .whereNot('firing.kind', 'bisque')
    .whereNull('piece.waiting_for')
    // It lies where it came out last, and not while it stands in another kiln.
    .whereNotExists(
      src('placement as later')
        .whereRaw('later.piece_id = placement.piece_id AND later.placed_at > placement.placed_at')
        .select(src.raw('1')),
    )
    .orderBy([{ column: 'firing.opened_at', order: 'desc' }, 'piece.code'])
    .select(
      'piece.id',
      'piece.code',
      'firing.id as firing_id',
      'firing.no',
      'firing.collect_from',
      'kiln.name',
    );
  const found = new Map<
    string,
    { firingId: string; firing: string; place: string; pieces: { id: string; code: string }[] }
  >();
  for (const row of rows) {
    const held = found.get(row.firing_id) ?? {
      firingId: row.firing_id as string,
      firing: `${row.name} ${row.no}`,
      place: row.collect_from as string,
      pieces: [],
    };
    held.pieces.push({ id: row.id, code: row.code });
    found.set(row.firing_id, held);
  }
  return [...found.values()];
}
