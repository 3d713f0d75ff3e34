/** What lies on pieces: their faces, and the layers as they were meant and done. */
import type { Knex } from 'knex';
import type { Coat, Face, KeyKnown, Layer } from '@/core/zones';
import { insertMany, type Row, type Source } from './database';
import { groupRows } from './rows';

/** A layer as a form or an import gives it: by coating version id. */
export type LayerFields = Omit<Layer, 'coat'> & { coatingVersionId: string };

/** A layer as it stands on a piece, with the version it was. */
export type PieceLayer = Layer & { coatingVersionId: string };

export const layerRow = (
  pieceId: string,
  intent: 'meant' | 'done',
  setNo: number,
  seq: number,
  layer: LayerFields,
  by: string,
  at: Date,
): Record<string, unknown> => ({
  piece_id: pieceId,
  intent,
  set_no: setNo,
  seq,
  coating_version_id: layer.coatingVersionId,
  method: layer.method,
  coats: layer.coats,
  weight: layer.weight,
  thickness_mm: layer.thicknessMm,
  seconds: layer.seconds,
  stage: layer.stage,
  dried_before: layer.driedBefore,
  face_no: layer.region.face,
  stretch_from: layer.region.stretch.from,
  stretch_to: layer.region.stretch.to,
  sector_from: layer.region.sector.from,
  sector_to: layer.region.sector.to,
  relief: layer.region.relief,
  generation: layer.generation,
  recorded_by: by,
  recorded_at: at,
});

/** Puts a corrected set of done layers beside the old one, which stays on record. */
export async function replaceDone(
  src: Source,
  pieceId: string,
  layers: readonly LayerFields[],
  by: string,
  now: Date,
  key: KeyKnown = 'sure',
): Promise<void> {
  const row = await src('layer').where({ piece_id: pieceId, intent: 'done' }).max({ no: 'set_no' }).first();
  const setNo = Number(row?.no ?? 0) + 1;
  await src('layer')
    .where({ piece_id: pieceId, intent: 'done' })
    .whereNull('superseded_at')
    .update({ superseded_at: now });
  await insertMany(
    src,
    'layer',
    layers.map((layer, i) => layerRow(pieceId, 'done', setNo, i + 1, layer, by, now)),
  );
  // Whoever says what lies on a piece knows it, even that nothing does, unless they say otherwise. Who said
  // it of a piece whose key was lost, and when, stays with it.
  await src.raw(
    `UPDATE piece SET
       key_said_at = IF(:key = 'lost', NULL, IF(key_known = 'lost', :now, key_said_at)),
       key_said_by = IF(:key = 'lost', NULL, IF(key_known = 'lost', :by, key_said_by)),
       key_known = :key
     WHERE id = :pieceId`,
    { key, now, by, pieceId },
  );
}

const coatOf = (row: Row): Coat => ({
  slug: row.coat_slug,
  version: row.coat_no,
  kind: row.coat_kind,
});

const FACE = [
  'face.no as face_no',
  'face.kind as face_kind',
  'face.surface',
  'face.slip_version_id',
  'coating.slug as coat_slug',
  'coating_version.no as coat_no',
  'coating.kind as coat_kind',
];

const faceOf = (row: Row): Face => ({
  no: row.face_no,
  kind: row.face_kind,
  slip: row.slip_version_id === null ? null : coatOf(row),
  surface: row.surface,
});

/** Adds the piece's faces to a query: a row for each. `groupFaces` puts them in order. */
export const joinFaces = (query: Knex.QueryBuilder): Knex.QueryBuilder =>
  query
    .join('face', 'face.piece_id', 'piece.id')
    .leftJoin('coating_version', 'coating_version.id', 'face.slip_version_id')
    .leftJoin('coating', 'coating.id', 'coating_version.coating_id')
    .select(FACE);

/** Sorted here: the database would make a table of its own to sort a join by its last part. */
const byFace = (a: Row, b: Row): number => a.face_no - b.face_no;

/** The faces out of rows that `joinFaces` made, by the row's key. */
export function groupFaces(rows: readonly Row[], key: (row: Row) => string): Map<string, Face[]> {
  return groupRows([...rows].sort(byFace), faceOf, key);
}

/** Faces of many pieces at once, by piece id. */
export async function facesOf(src: Source, pieceIds: readonly string[]): Promise<Map<string, Face[]>> {
  const rows: Row[] = await joinFaces(
    src('piece').whereIn('piece.id', pieceIds).select('piece.id as piece_id'),
  );
  return groupRows(rows.sort(byFace), faceOf);
}

/** The layers believed now, meant and done, of many pieces at once. */
export async function layersOf(
  src: Source,
  pieceIds: readonly string[],
  intents: readonly ('meant' | 'done')[] = ['meant', 'done'],
): Promise<Map<string, (PieceLayer & { intent: 'meant' | 'done' })[]>> {
  const rows = await src('layer')
    .join('coating_version', 'coating_version.id', 'layer.coating_version_id')
    .join('coating', 'coating.id', 'coating_version.coating_id')
    .whereIn('layer.piece_id', pieceIds)
    .whereIn('layer.intent', intents)
    .whereNull('layer.superseded_at')
    .select(
      'layer.*',
      'coating.slug as coat_slug',
      'coating_version.no as coat_no',
      'coating.kind as coat_kind',
    );
  const sorted = (rows as Row[]).sort((a, b) => a.seq - b.seq);
  return groupRows(sorted, (row) => ({
    intent: row.intent,
    coatingVersionId: row.coating_version_id,
    coat: coatOf(row),
    method: row.method,
    coats: row.coats,
    weight: row.weight,
    thicknessMm: row.thickness_mm,
    seconds: row.seconds,
    stage: row.stage,
    driedBefore: row.dried_before === null ? null : Boolean(row.dried_before),
    region: {
      face: row.face_no,
      stretch: { from: row.stretch_from, to: row.stretch_to },
      sector: { from: row.sector_from, to: row.sector_to },
      relief: row.relief,
    },
    generation: row.generation,
  }));
}

/** The coatings, by slug, on pieces that were in a firing. */
export const slugsInFiring = async (src: Source, firingId: string): Promise<string[]> =>
  src('placement')
    .join('layer', 'layer.piece_id', 'placement.piece_id')
    .join('coating_version', 'coating_version.id', 'layer.coating_version_id')
    .join('coating', 'coating.id', 'coating_version.coating_id')
    .where('placement.firing_id', firingId)
    .whereRaw('layer.generation <= placement.generation')
    .where('layer.intent', 'done')
    .whereNull('layer.superseded_at')
    .distinct()
    .pluck('coating.slug');
