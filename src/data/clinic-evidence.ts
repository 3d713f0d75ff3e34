/** What the records hold around a fault: the piece itself, its load, its stack and its body elsewhere. */
import type { FiringFaults, SeenStack } from '@/core/diagnosis';
import { SECONDS, secondsTold } from '@/core/standing';
import type { Row, Source } from './database';
import type { ZonePicture } from './zone-pictures';

/** A stack as the clinic reads it, with how it was written up. Its shelf is read for a load only. */
export type Seen = SeenStack & { movementMm: number | null };

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
  seconds: secondsTold(row.held),
  movementMm: row.movement_mm,
});

const sightings = (src: Source) =>
  src('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .where('cell.depth', '>', 0)
    .select(COLUMNS)
    .select(src.raw(`JSON_VALUE(sighting.variables, '$."${SECONDS}"') AS held`));

/** Everything of a load that was seen, with where it stood. */
export const seenInFiring = async (src: Source, firingId: string): Promise<Seen[]> =>
  (
    (await sightings(src)
      .join('placement', function () {
        this.on('placement.piece_id', 'sighting.piece_id').andOn('placement.firing_id', 'sighting.firing_id');
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

/** Stacks on a body that show a fault: at a cone, or at any. */
export const faultyOnBody = async (
  src: Source,
  of: { bodyId: string; cone?: string; sign: string },
): Promise<Seen[]> =>
  (
    (await sightings(src)
      .where({
        'cell.body_id': of.bodyId,
        ...(of.cone === undefined ? {} : { 'cell.cone': of.cone }),
      })
      .whereRaw('JSON_CONTAINS(sighting.signs, ?)', [JSON.stringify({ sign: of.sign, wanted: false })])
      .limit(MOST)) as Row[]
  ).map(seen);

/** A cell as what was seen of it is compared. */
export type ComparedCell = {
  id: string;
  bodyId: string;
  slips: string;
  stackKey: string;
  cone: string;
  atmosphere: string;
};

/**
 * A zone of a piece after a firing. What is the same of many is one object: circumstances, faults, the cell.
 */
export type ComparedSighting = {
  cell: ComparedCell;
  pieceId: string;
  firingId: string;
  variables: Readonly<Record<string, string>>;
  surface: string | null;
  faults: readonly string[];
};

/** What was seen of everything, of what holds these coats, or of a body: in one scan. */
export async function comparedSightings(
  src: Source,
  of: { slugs?: readonly string[]; bodyId?: string },
): Promise<ComparedSighting[]> {
  const cells = src('cell').where('depth', '>', 0);
  if (of.slugs !== undefined)
    cells.whereIn('id', src('cell_coat').whereIn('slug', of.slugs).select('cell_id'));
  if (of.bodyId !== undefined) cells.where({ body_id: of.bodyId });
  const known = (await cells.select('id', 'body_id', 'slips', 'stack_key', 'cone', 'atmosphere')) as Row[];
  const byId = new Map(
    known.map((row): [string, ComparedCell] => [
      row.id,
      {
        id: row.id,
        bodyId: row.body_id,
        slips: row.slips,
        stackKey: row.stack_key,
        cone: row.cone,
        atmosphere: row.atmosphere,
      },
    ]),
  );
  // As text: the same is said of many, and is read once.
  const rows = src('sighting')
    .select('cell_id', 'piece_id', 'firing_id', 'surface')
    .select(src.raw('CAST(variables AS CHAR) AS alike, CAST(signs AS CHAR) AS shown'));
  if (of.slugs !== undefined || of.bodyId !== undefined) rows.whereIn('cell_id', [...byId.keys()]);
  const variables = once((text) => JSON.parse(text) as Record<string, string>);
  const faults = once((text) =>
    (JSON.parse(text) as { sign: string; wanted: boolean }[])
      .filter(({ wanted }) => !wanted)
      .map(({ sign }) => sign),
  );
  return ((await rows) as Row[]).flatMap((row): ComparedSighting[] => {
    const cell = byId.get(row.cell_id);
    return cell === undefined
      ? []
      : [
          {
            cell,
            pieceId: row.piece_id,
            firingId: row.firing_id,
            variables: variables(row.alike),
            surface: row.surface,
            faults: faults(row.shown),
          },
        ];
  });
}

/** Made once of each text. */
function once<T>(make: (text: string) => T): (text: string) => T {
  const made = new Map<string, T>();
  return (text) => {
    let one = made.get(text);
    if (one === undefined) made.set(text, (one = make(text)));
    return one;
  };
}

/** Stacks of the same coats are related, however thick and on whatever body. */
const STACKS =
  "COUNT(DISTINCT CONCAT_WS('>', cell.base_slug, cell.over_slug)) AS n, COUNT(DISTINCT cell.body_id) AS bodies";

/** How many stacks of each firing were looked at, and how many of them show each fault that nobody wanted. */
export async function faultsByFiring(src: Source): Promise<FiringFaults[]> {
  const looked = src('sighting')
    .join('cell', 'cell.id', 'sighting.cell_id')
    .where('cell.depth', '>', 0)
    .groupBy('sighting.firing_id');
  const faults = looked
    .clone()
    .joinRaw(
      `JOIN JSON_TABLE(sighting.signs, '$[*]'
         COLUMNS (sign VARCHAR(40) PATH '$.sign', wanted BOOLEAN PATH '$.wanted')) AS seen`,
    )
    .where('seen.wanted', false)
    .groupBy('seen.sign')
    .select('sighting.firing_id', 'seen.sign', src.raw(STACKS));
  // In one trip: what was looked at has no sign, and comes first.
  const all = looked.select('sighting.firing_id', src.raw('NULL AS sign'), src.raw(STACKS));
  const rows = (await src.queryBuilder().unionAll([all, faults], true)) as Row[];
  const found = new Map<
    string,
    FiringFaults & { faults: Record<string, number>; on: Record<string, number> }
  >();
  for (const { firing_id: firingId, sign, n, bodies } of rows) {
    if (sign === null) {
      found.set(firingId, { firingId, stacks: Number(n), bodies: Number(bodies), faults: {}, on: {} });
      continue;
    }
    found.get(firingId)!.faults[sign] = Number(n);
    found.get(firingId)!.on[sign] = Number(bodies);
  }
  return [...found.values()];
}

/** The recorded circumstances of pieces in their firings, by piece and firing. */
export async function circumstancesIn(
  src: Source,
  pairs: readonly { pieceId: string; firingId: string }[],
): Promise<Map<string, Record<string, string>>> {
  const rows: Row[] = await src('sighting')
    .whereIn(
      ['piece_id', 'firing_id'],
      pairs.map(({ pieceId, firingId }) => [pieceId, firingId]),
    )
    .select('piece_id', 'firing_id', 'variables');
  return new Map(rows.map((row) => [`${row.piece_id}/${row.firing_id}`, row.variables]));
}

/** A zone of a question’s tile, as it was written up. */
export type TileZone = Seen & { step: number; reached: number | null };

/** What was seen on the tiles of a question. */
export async function tilesSeen(src: Source, questionId: string): Promise<TileZone[]> {
  const rows: Row[] = await sightings(src)
    .join('question_tile', 'question_tile.piece_id', 'sighting.piece_id')
    .join('firing', 'firing.id', 'sighting.firing_id')
    .where({ question_id: questionId })
    .select('question_tile.column_no', 'firing.reached_ordinal', 'firing.log_ordinal');
  return rows.map((row) => ({
    ...seen(row),
    step: row.column_no,
    reached: row.reached_ordinal ?? row.log_ordinal,
  }));
}

export type EffectSeen = ZonePicture & { code: string; pieceId: string; stackKey: string };

/** Where an effect was seen and wanted: by sign, the cells with most pieces first, a few of each. */
export async function effectsSeen(src: Source, signs: readonly string[]): Promise<Map<string, EffectSeen[]>> {
  const found = new Map<string, EffectSeen[]>();
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
        .select('cell.stack_key', 'cell.photo_sha', 'cell.photo_cut')
        .select(src.raw('MIN(piece.code) AS code'), src.raw('MIN(piece.id) AS piece_id'));
      found.set(
        sign,
        rows.map((row) => ({
          code: row.code,
          pieceId: row.piece_id,
          stackKey: row.stack_key,
          sha: row.photo_sha,
          cut: row.photo_cut,
        })),
      );
    }),
  );
  return found;
}
