/** What the records hold around a fault: the piece itself, its load, its stack and its body elsewhere. */
import type { SeenStack } from '@/core/diagnosis';
import type { Row, Source } from './database';

/** A stack as the clinic reads it, with how it was written up. Its shelf is read for a load only. */
export type Seen = SeenStack & { surface: string | null; movementMm: number | null };

const COLUMNS = [
  'sighting.piece_id',
  'sighting.firing_id',
  'sighting.signs',
  'sighting.surface',
  'sighting.movement_mm',
  'cell.body_id',
  'cell.slips',
  'cell.stack_key',
  'cell.cone',
  'cell.refired',
];

const seen = (row: Row): Seen => ({
  pieceId: row.piece_id,
  firingId: row.firing_id,
  bodyId: row.body_id,
  slips: row.slips,
  stackKey: row.stack_key,
  cone: row.cone,
  refired: Boolean(row.refired),
  shelf: row.shelf ?? null,
  faults: (row.signs as { sign: string; wanted: boolean }[])
    .filter(({ wanted }) => !wanted)
    .map(({ sign }) => sign),
  surface: row.surface,
  movementMm: row.movement_mm,
});

const sightings = (src: Source) =>
  src('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .where('cell.depth', '>', 0)
    .select(COLUMNS);

/** Everything of a load that was seen, with where it stood. */
export const seenInFiring = async (src: Source, firingId: string): Promise<Seen[]> =>
  (
    (await sightings(src)
      .join('placement', function () {
        this.on('placement.piece_id', 'sighting.piece_id').andOn(
          'placement.firing_id',
          'sighting.firing_id',
        );
      })
      .where('sighting.firing_id', firingId)
      .select('placement.shelf')) as Row[]
  ).map(seen);

/** As many as a page needs to tell apart, newest first: a studio of decades stays quick. */
const MOST = 4000;

/** Stacks that hold any of these coats, wherever they were fired. */
export const seenWithCoats = async (src: Source, slugs: readonly string[]): Promise<Seen[]> =>
  slugs.length === 0
    ? []
    : (
        (await sightings(src)
          .whereIn('cell.id', src('cell_coat').whereIn('slug', slugs).select('cell_id'))
          .orderBy('sighting.seen_at', 'desc')
          .limit(MOST)) as Row[]
      ).map(seen);

/** Stacks on a body at a cone that show a fault. */
export const faultyOnBody = async (
  src: Source,
  of: { bodyId: string; cone: string; sign: string },
): Promise<Seen[]> =>
  (
    (await sightings(src)
      .where({ 'cell.body_id': of.bodyId, 'cell.cone': of.cone })
      .whereRaw('JSON_CONTAINS(sighting.signs, ?)', [
        JSON.stringify({ sign: of.sign, wanted: false }),
      ])
      .limit(MOST)) as Row[]
  ).map(seen);

/** Stacks of the same coats are related, however thick and on whatever body. */
const STACKS = "COUNT(DISTINCT CONCAT_WS('>', cell.base_slug, cell.over_slug)) AS n";

/** How many stacks of each firing were looked at, and how many of them show each fault that nobody wanted. */
export async function faultsByFiring(
  src: Source,
): Promise<{ firingId: string; stacks: number; faults: Record<string, number> }[]> {
  const looked = src('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .where('cell.depth', '>', 0)
    .groupBy('sighting.firing_id');
  const [all, faults] = (await Promise.all([
    looked.clone().select('sighting.firing_id', src.raw(STACKS)),
    looked
      .clone()
      .joinRaw(
        `JOIN JSON_TABLE(sighting.signs, '$[*]'
           COLUMNS (sign VARCHAR(40) PATH '$.sign', wanted BOOLEAN PATH '$.wanted')) AS seen`,
      )
      .where('seen.wanted', false)
      .groupBy('seen.sign')
      .select('sighting.firing_id', 'seen.sign', src.raw(STACKS)),
  ])) as [Row[], Row[]];
  const found = new Map(
    all.map((row) => [
      row.firing_id as string,
      { firingId: row.firing_id as string, stacks: Number(row.n), faults: {} as Record<string, number> }, // prettier-ignore
    ]),
  );
  for (const row of faults) found.get(row.firing_id)!.faults[row.sign] = Number(row.n);
  return [...found.values()];
}

/** Where an effect was seen and wanted: by sign, the cells with most pieces first, a few of each. */
export async function effectsSeen(
  src: Source,
  signs: readonly string[],
): Promise<Map<string, { code: string; pieceId: string; stackKey: string; sha: string | null }[]>> {
  const found = new Map<string, { code: string; pieceId: string; stackKey: string; sha: string | null }[]>(); // prettier-ignore
  await Promise.all(
    signs.map(async (sign) => {
      const rows: Row[] = await src('sighting')
        .join('cell', 'cell.id', 'sighting.cell_id')
        .join('piece', 'piece.id', 'sighting.piece_id')
        .whereRaw('JSON_CONTAINS(sighting.signs, ?)', [JSON.stringify({ sign, wanted: true })])
        .whereNull('piece.owner_id')
        .groupBy('cell.id')
        .orderByRaw('COUNT(*) DESC, cell.id')
        .limit(4)
        .select('cell.stack_key', 'cell.photo_sha')
        .select(src.raw('MIN(piece.code) AS code'), src.raw('MIN(piece.id) AS piece_id'));
      found.set(
        sign,
        rows.map((row) => ({
          code: row.code,
          pieceId: row.piece_id,
          stackKey: row.stack_key,
          sha: row.photo_sha,
        })),
      );
    }),
  );
  return found;
}
