import type { Refire } from '@/core/journey';
import type { Verdict } from '@/core/signs';
import type { Looks, Place, SeenSign } from '@/core/looks';
import { insertMany, type Row, type Source } from './database';

export type Observation = Looks & {
  id: string;
  pieceId: string;
  firingId: string;
  zone: string | null;
  seenAt: Date;
  place: Place;
  verdict: Verdict | null;
  /** What a refire is for, where that is the verdict. */
  refire?: Refire | null;
  note: string;
};

export type RecordedObservation = Observation & {
  seenBy: string;
  seenByName: string;
  arrivedAt: Date;
  /** The look that this one corrects. */
  supersedes: string | null;
  /** Corrected, or taken back. */
  superseded: boolean;
  /**
   * From before looks stood beside one another: the look this one had replaced, while nobody said which it
   * was.
   */
  doubtedAs: string | null;
};

/**
 * Adds looks; a correction names the look it replaces. `now` is when they arrive; null: as they were seen.
 */
export async function appendObservations(
  src: Source,
  observations: readonly (Observation & { supersedes?: string | null })[],
  by: string,
  now: Date | null,
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
      arrived_at: now ?? one.seenAt,
      seen_by: by,
      place: one.place,
      surface: one.surface,
      opacity: one.opacity,
      colour: one.colour,
      movement_mm: one.movementMm,
      met: one.met,
      rating: one.rating,
      pings: one.pings ?? null,
      verdict: one.verdict,
      ...(one.verdict === 'refire' && one.refire != null
        ? {
            refire_why: one.refire.why,
            refire_todo: one.refire.todo,
            refire_cone: one.refire.cone,
            refire_atmosphere: one.refire.atmosphere,
          }
        : {}),
      healed: JSON.stringify(one.healed ?? []),
      note: one.note,
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
        points: sign.points === undefined || sign.points.length === 0 ? null : JSON.stringify(sign.points),
      })),
    ),
  );
}

/** Takes an observation out of belief; it stays on record. */
export async function supersede(src: Source, ids: readonly string[], now: Date): Promise<void> {
  await src('observation').whereIn('id', ids).update({ superseded_at: now });
}

/** Puts a superseded observation back in belief (the undo of a correction or a withdrawal). */
export async function reinstate(src: Source, ids: readonly string[]): Promise<void> {
  await src('observation').whereIn('id', ids).update({ superseded_at: null });
}

/** What a refire is for, as a row of a look keeps it; null where nobody said. */
export const refireIn = (row: Row): Refire | null =>
  row.verdict !== 'refire' || row.refire_why === null
    ? null
    : {
        why: row.refire_why,
        todo: row.refire_todo,
        cone: row.refire_cone,
        atmosphere: row.refire_atmosphere,
      };

/** Observations with their signs, oldest first. */
export async function listObservations(
  src: Source,
  filter: {
    ids?: readonly string[];
    pieceIds?: readonly string[];
    firingId?: string;
    current?: boolean;
    doubted?: boolean;
  },
): Promise<RecordedObservation[]> {
  const query = src('observation')
    // Every look has its person: a left join only keeps the database from going by who wrote most of them.
    .leftJoin('person', 'person.id', 'observation.seen_by')
    .leftJoin('observation_sign', 'observation_sign.observation_id', 'observation.id')
    .select(
      'observation.*',
      'person.name as seen_by_name',
      'observation_sign.sign',
      'observation_sign.severity',
      'observation_sign.wanted',
      'observation_sign.points',
    );
  if (filter.ids) query.whereIn('observation.id', filter.ids);
  if (filter.pieceIds) query.whereIn('observation.piece_id', filter.pieceIds);
  if (filter.firingId !== undefined) query.where('observation.firing_id', filter.firingId);
  if (filter.current) query.whereNull('observation.superseded_at');
  if (filter.doubted) query.whereNotNull('observation.doubted_as');
  const signs = new Map<string, SeenSign[]>();
  const rows = ((await query) as Row[]).filter((row) => {
    const own = signs.get(row.id);
    const sign: SeenSign = {
      sign: row.sign,
      severity: row.severity,
      wanted: Boolean(row.wanted),
      ...(row.points === null ? {} : { points: row.points }),
    };
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
    arrivedAt: row.arrived_at,
    place: row.place,
    surface: row.surface,
    opacity: row.opacity,
    colour: row.colour,
    movementMm: row.movement_mm,
    met: row.met,
    rating: row.rating,
    pings: row.pings,
    verdict: row.verdict,
    refire: refireIn(row),
    healed: row.healed,
    note: row.note,
    signs: signs.get(row.id)?.sort((a, b) => (a.sign < b.sign ? -1 : 1)) ?? [],
    supersedes: row.supersedes,
    superseded: row.superseded_at !== null,
    doubtedAs: row.doubted_as,
  }));
}

/**
 * The looks at a whole piece after one firing (after all of them where none is named), as the core reads
 * them.
 */
export const toldOf = (looks: readonly RecordedObservation[], pieceId: string, firingId?: string) =>
  looks
    .filter((look) => look.pieceId === pieceId && look.zone === null)
    .filter((look) => firingId === undefined || look.firingId === firingId)
    .map((look) => ({ ...look, by: look.seenBy, seenAt: look.seenAt.toISOString() }));

/** How often which words for a colour were written, the commonest first; read from its index alone. */
export async function colourTexts(src: Source): Promise<{ text: string; n: number }[]> {
  const rows: Row[] = await src('observation')
    .whereNotNull('colour')
    .groupBy('colour')
    .orderBy([{ column: 'n', order: 'desc' }, 'colour'])
    .limit(300)
    .select('colour', src.raw('COUNT(*) AS n'));
  return rows.map((row) => ({ text: row.colour, n: Number(row.n) }));
}

/** Says what a doubted look was: a look of its own, or a correction of the one it had replaced. */
export async function settleDoubt(
  src: Source,
  one: Pick<RecordedObservation, 'id' | 'doubtedAs'>,
  corrects: boolean,
  now: Date,
): Promise<void> {
  if (corrects) await supersede(src, [one.doubtedAs as string], now);
  await src('observation')
    .where({ id: one.id })
    .update({ doubted_as: null, supersedes: corrects ? one.doubtedAs : null });
}

/**
 * A word that is another one whenever something was said of a firing's pieces, taken back, or added: who has
 * the page with the same word sees all there is.
 */
export async function openingMark(src: Source, firingId: string): Promise<string> {
  const [rows] = (await src.raw(
    `SELECT COUNT(*) AS looks, MAX(arrived_at) AS last, SUM(superseded_at IS NULL) AS standing,
      (SELECT COUNT(*) FROM placement JOIN photo ON photo.piece_id = placement.piece_id AND photo.firing_id = placement.firing_id
        WHERE placement.firing_id = :firingId AND photo.binned_at IS NULL) AS photos,
      (SELECT COUNT(*) FROM placement WHERE firing_id = :firingId) AS pieces,
      (SELECT status FROM firing WHERE id = :firingId) AS status
     FROM observation WHERE firing_id = :firingId`,
    { firingId },
  )) as [Row[]];
  const { looks, last, standing, photos, pieces, status } = rows[0] as Row;
  return [looks, (last as Date | null)?.getTime(), standing, photos, pieces, status].join('.');
}
