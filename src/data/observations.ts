import type { Meeting, Opacity, Surface, Verdict } from '@/core/signs';
import type { SeenSign } from '@/core/standing';
import { insertMany, type Row, type Source } from './database';

export type Observation = {
  id: string;
  pieceId: string;
  firingId: string;
  zone: string | null;
  seenAt: Date;
  surface: Surface | null;
  opacity: Opacity | null;
  colour: string | null;
  movementMm: number | null;
  met: Meeting | null;
  rating: number | null;
  verdict: Verdict | null;
  note: string;
  signs: SeenSign[];
};

export type RecordedObservation = Observation & {
  seenBy: string;
  seenByName: string;
  supersedes: string | null;
  superseded: boolean;
};

/** One believed observation per piece, firing and zone: the text of that uniqueness. */
export const currentKey = (one: Pick<Observation, 'pieceId' | 'firingId' | 'zone'>): string =>
  `${one.pieceId}/${one.firingId}/${one.zone ?? ''}`;

/** Adds observations that nothing stands in the place of yet. */
export async function appendObservations(
  src: Source,
  observations: readonly (Observation & { supersedes?: string })[],
  by: string,
): Promise<void> {
  await insertMany(
    src,
    'observation',
    observations.map((one) => ({
      id: one.id,
      piece_id: one.pieceId,
      firing_id: one.firingId,
      zone: one.zone,
      seen_at: one.seenAt,
      seen_by: by,
      surface: one.surface,
      opacity: one.opacity,
      colour: one.colour,
      movement_mm: one.movementMm,
      met: one.met,
      rating: one.rating,
      verdict: one.verdict,
      note: one.note,
      current_key: currentKey(one),
      supersedes: one.supersedes ?? null,
    })),
  );
  await insertMany(
    src,
    'observation_sign',
    observations.flatMap((one) =>
      one.signs.map((sign) => ({
        observation_id: one.id,
        sign: sign.sign,
        severity: sign.severity,
        wanted: sign.wanted,
      })),
    ),
  );
}

/** Takes an observation out of belief; it stays on record. */
export async function supersede(src: Source, ids: readonly string[], now: Date): Promise<void> {
  await src('observation').whereIn('id', ids).update({ current_key: null, superseded_at: now });
}

/** Puts a superseded observation back in belief (the undo of a correction or a withdrawal). */
export async function reinstate(src: Source, one: RecordedObservation): Promise<void> {
  await src('observation')
    .where({ id: one.id })
    .update({ current_key: currentKey(one), superseded_at: null });
}

/** Observations with their signs, oldest first. */
export async function listObservations(
  src: Source,
  filter: {
    ids?: readonly string[];
    pieceIds?: readonly string[];
    firingId?: string;
    keys?: readonly string[];
    current?: boolean;
  },
): Promise<RecordedObservation[]> {
  const query = src('observation')
    .join('person', 'person.id', 'observation.seen_by')
    .leftJoin('observation_sign', 'observation_sign.observation_id', 'observation.id')
    .select(
      'observation.*',
      'person.name as seen_by_name',
      'observation_sign.sign',
      'observation_sign.severity',
      'observation_sign.wanted',
    );
  if (filter.ids) query.whereIn('observation.id', filter.ids);
  if (filter.pieceIds) query.whereIn('observation.piece_id', filter.pieceIds);
  if (filter.firingId !== undefined) query.where('observation.firing_id', filter.firingId);
  if (filter.keys) query.whereIn('observation.current_key', filter.keys);
  if (filter.current) query.whereNotNull('observation.current_key');
  const signs = new Map<string, SeenSign[]>();
  const rows = ((await query) as Row[]).filter((row) => {
    const own = signs.get(row.id);
    const sign = { sign: row.sign, severity: row.severity, wanted: Boolean(row.wanted) };
    if (own === undefined) signs.set(row.id, row.sign === null ? [] : [sign]);
    else own.push(sign);
    return own === undefined;
  });
  // Sorted here: with their notes the database would sort them on disk.
  rows.sort((a, b) => a.seen_at - b.seen_at || (a.id < b.id ? -1 : 1));
  return rows.map((row) => ({
    id: row.id,
    pieceId: row.piece_id,
    firingId: row.firing_id,
    zone: row.zone,
    seenAt: row.seen_at,
    seenBy: row.seen_by,
    seenByName: row.seen_by_name,
    surface: row.surface,
    opacity: row.opacity,
    colour: row.colour,
    movementMm: row.movement_mm,
    met: row.met,
    rating: row.rating,
    verdict: row.verdict,
    note: row.note,
    signs: signs.get(row.id)?.sort((a, b) => (a.sign < b.sign ? -1 : 1)) ?? [],
    supersedes: row.supersedes,
    superseded: row.superseded_at !== null,
  }));
}
