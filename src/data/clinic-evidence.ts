/** What the records hold around a fault: the piece itself, its load, its stack and its body elsewhere. */
import type { Row, Source } from './database';

/** One stack on one piece after one firing, as somebody saw it. */
export type Seen = {
  pieceId: string;
  firingId: string;
  bodyId: string;
  slips: string;
  stackKey: string;
  cone: string;
  refired: boolean;
  /** Read for a load only. */
  shelf: number | null;
  /** Faults that were seen and not wanted. */
  faults: string[];
  surface: string | null;
  movementMm: number | null;
};

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
