import type { Knex } from 'knex';
import { codeOf } from '@/core/codes';
import type { Coat, Face, Layer } from '@/core/zones';
import { insertMany, type Row, type Source } from './database';
import { takePieceNumbers } from './studio';

/** A layer as a form or an import gives it: by coating version id. */
export type LayerFields = Omit<Layer, 'coat'> & { coatingVersionId: string };
export type FaceFields = { no: number; kind: Face['kind']; slipVersionId: string | null };

export type NewPiece = {
  id: string;
  mark: string | null;
  kind: 'tile' | 'ware';
  bodyId: string;
  form: string;
  heightMm: number | null;
  lotId: string | null;
  ownerId: string | null;
  madeOn: string | null;
  notes: string;
  waitingFor: 'bisque' | 'glaze' | 'refire' | null;
  wantedCone: string | null;
  wantedAtmosphere: string | null;
  faces: FaceFields[];
  meant: LayerFields[];
  done: LayerFields[];
};

export type Flag = {
  id: string;
  text: string;
  raisedBy: string;
  raisedAt: Date;
  clearedAt: Date | null;
};

export type PieceSummary = {
  id: string;
  code: string;
  mark: string | null;
  kind: 'tile' | 'ware';
  bodyId: string;
  bodyName: string;
  bodySlug: string;
  form: string;
  heightMm: number | null;
  lotId: string | null;
  ownerId: string | null;
  ownerName: string | null;
  madeOn: string | null;
  notes: string;
  waitingFor: 'bisque' | 'glaze' | 'refire' | null;
  wantedCone: string | null;
  wantedAtmosphere: string | null;
  createdAt: Date;
  binned: boolean;
  revision: number;
};

/** A layer as it stands on a piece, with the version it was. */
export type PieceLayer = Layer & { coatingVersionId: string };
export type Piece = PieceSummary & {
  faces: Face[];
  meant: PieceLayer[];
  done: PieceLayer[];
  flags: Flag[];
};

const layerRow = (
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

/** Writes pieces with faces and layers, and gives each its code, in the order given. */
export async function createPieces(
  src: Source,
  pieces: readonly NewPiece[],
  by: string,
  now: Date,
): Promise<string[]> {
  if (pieces.length === 0) return [];
  const first = await takePieceNumbers(src, pieces.length);
  const codes = pieces.map((_, i) => codeOf(first + i));
  await insertMany(
    src,
    'piece',
    pieces.map((piece, i) => ({
      id: piece.id,
      code: codes[i],
      mark: piece.mark,
      kind: piece.kind,
      body_id: piece.bodyId,
      form: piece.form,
      height_mm: piece.heightMm,
      lot_id: piece.lotId,
      owner_id: piece.ownerId,
      made_on: piece.madeOn,
      notes: piece.notes,
      waiting_for: piece.waitingFor,
      wanted_cone: piece.wantedCone,
      wanted_atmosphere: piece.wantedAtmosphere,
      created_by: by,
      created_at: now,
    })),
  );
  await insertMany(
    src,
    'face',
    pieces.flatMap((piece) =>
      piece.faces.map((face) => ({
        piece_id: piece.id,
        no: face.no,
        kind: face.kind,
        slip_version_id: face.slipVersionId,
      })),
    ),
    1000,
  );
  await insertMany(
    src,
    'layer',
    pieces.flatMap((piece) => [
      ...piece.meant.map((layer, i) => layerRow(piece.id, 'meant', 1, i + 1, layer, by, now)),
      ...piece.done.map((layer, i) => layerRow(piece.id, 'done', 1, i + 1, layer, by, now)),
    ]),
  );
  return codes;
}

/** Puts a corrected set of done layers beside the old one, which stays on record. */
export async function replaceDone(
  src: Source,
  pieceId: string,
  layers: readonly LayerFields[],
  by: string,
  now: Date,
): Promise<void> {
  const row = await src('layer')
    .where({ piece_id: pieceId, intent: 'done' })
    .max({ no: 'set_no' })
    .first();
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
}

const SUMMARY = [
  'piece.*',
  'body.name as body_name',
  'body.slug as body_slug',
  'person.name as owner_name',
];

const summary = (row: Row): PieceSummary => ({
  id: row.id,
  code: row.code,
  mark: row.mark,
  kind: row.kind,
  bodyId: row.body_id,
  bodyName: row.body_name,
  bodySlug: row.body_slug,
  form: row.form,
  heightMm: row.height_mm,
  lotId: row.lot_id,
  ownerId: row.owner_id,
  ownerName: row.owner_name,
  madeOn: row.made_on,
  notes: row.notes,
  waitingFor: row.waiting_for,
  wantedCone: row.wanted_cone,
  wantedAtmosphere: row.wanted_atmosphere,
  createdAt: row.created_at,
  binned: row.binned_at !== null,
  revision: row.revision,
});

const summaries = (src: Source) =>
  src('piece')
    .join('body', 'body.id', 'piece.body_id')
    .leftJoin('person', 'person.id', 'piece.owner_id')
    .select(SUMMARY);

export type PieceFilter = {
  ids?: readonly string[];
  codes?: readonly string[];
  mark?: string;
  ownerId?: string;
  lotId?: string;
  waiting?: boolean;
  binned?: boolean;
  limit?: number;
};

/** Pieces without their layers, newest first. */
export async function listPieces(src: Source, filter: PieceFilter = {}): Promise<PieceSummary[]> {
  const query = summaries(src).orderBy([
    { column: 'piece.created_at', order: 'desc' },
    { column: 'piece.id' },
  ]);
  if (filter.ids) query.whereIn('piece.id', filter.ids);
  if (filter.codes) query.whereIn('piece.code', filter.codes);
  if (filter.mark !== undefined) query.where('piece.mark', filter.mark);
  if (filter.ownerId !== undefined) query.where('piece.owner_id', filter.ownerId);
  if (filter.lotId !== undefined) query.where('piece.lot_id', filter.lotId);
  if (filter.binned) query.whereNotNull('piece.binned_at');
  else if (!filter.ids && !filter.codes) query.whereNull('piece.binned_at');
  if (filter.waiting) {
    query
      .whereNotNull('piece.waiting_for')
      .whereNotExists(
        src('placement').select(src.raw('1')).whereRaw('placement.open_piece_id = piece.id'),
      );
  }
  if (filter.limit !== undefined) query.limit(filter.limit);
  return (await query).map(summary);
}

const coatOf = (row: Row): Coat => ({
  slug: row.coat_slug,
  version: row.coat_no,
  kind: row.coat_kind,
});

const FACE = [
  'face.no as face_no',
  'face.kind as face_kind',
  'face.slip_version_id',
  'coating.slug as coat_slug',
  'coating_version.no as coat_no',
  'coating.kind as coat_kind',
];

const faceOf = (row: Row): Face => ({
  no: row.face_no,
  kind: row.face_kind,
  slip: row.slip_version_id === null ? null : coatOf(row),
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
  return group([...rows].sort(byFace), faceOf, key);
}

/** Faces of many pieces at once, by piece id. */
export async function facesOf(
  src: Source,
  pieceIds: readonly string[],
): Promise<Map<string, Face[]>> {
  const rows: Row[] = await joinFaces(
    src('piece').whereIn('piece.id', pieceIds).select('piece.id as piece_id'),
  );
  return group(rows.sort(byFace), faceOf);
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
  return group(sorted, (row) => ({
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

/** Flags of many pieces; cleared ones only when asked for. */
export async function flagsOf(
  src: Source,
  pieceIds: readonly string[],
  all = false,
): Promise<Map<string, Flag[]>> {
  const query = src('flag')
    .join('person', 'person.id', 'flag.raised_by')
    .whereIn('flag.piece_id', pieceIds)
    .orderBy('flag.raised_at')
    .select('flag.*', 'person.name as raised_by_name');
  if (!all) query.whereNull('flag.cleared_at');
  return group(await query, (row) => ({
    id: row.id,
    text: row.text,
    raisedBy: row.raised_by_name,
    raisedAt: row.raised_at,
    clearedAt: row.cleared_at,
  }));
}

function group<T>(
  rows: readonly Row[],
  make: (row: Row) => T,
  keyOf = (row: Row): string => row.piece_id,
): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const key = keyOf(row);
    const list = groups.get(key);
    if (list) list.push(make(row));
    else groups.set(key, [make(row)]);
  }
  return groups;
}

/** Pieces with faces, layers and open flags. */
export async function loadPieces(src: Source, filter: PieceFilter): Promise<Piece[]> {
  const list = await listPieces(src, filter);
  const ids = list.map((piece) => piece.id);
  if (ids.length === 0) return [];
  const [faces, layers, flags] = [
    await facesOf(src, ids),
    await layersOf(src, ids),
    await flagsOf(src, ids),
  ];
  return list.map((piece) => {
    const own = layers.get(piece.id) ?? [];
    return {
      ...piece,
      faces: faces.get(piece.id) ?? [],
      meant: own.filter((layer) => layer.intent === 'meant'),
      done: own.filter((layer) => layer.intent === 'done'),
      flags: flags.get(piece.id) ?? [],
    };
  });
}

export async function updatePiece(
  src: Source,
  id: string,
  fields: Partial<{
    mark: string | null;
    notes: string;
    owner_id: string | null;
    height_mm: number | null;
    binned_at: Date | null;
    waiting_for: 'bisque' | 'glaze' | 'refire' | null;
  }>,
): Promise<void> {
  await src('piece')
    .where({ id })
    .update({ ...fields, revision: src.raw('revision + 1') });
}

export async function createLot(
  src: Source,
  lot: { id: string; kind: 'alike' | 'matrix' | 'import' | 'design'; name: string },
  by: string,
  now: Date,
): Promise<void> {
  await src('lot').insert({ ...lot, created_by: by, created_at: now });
}

export async function raiseFlag(
  src: Source,
  flag: { id: string; pieceId: string; text: string },
  by: string,
  now: Date,
): Promise<void> {
  await src('flag').insert({
    id: flag.id,
    piece_id: flag.pieceId,
    text: flag.text,
    raised_by: by,
    raised_at: now,
  });
}

export async function clearFlag(src: Source, id: string, by: string, now: Date): Promise<void> {
  await src('flag')
    .where({ id })
    .whereNull('cleared_at')
    .update({ cleared_by: by, cleared_at: now });
}

/** Pieces that bear one of these marks, by mark in lower case. */
export async function findByMarks(
  src: Source,
  marks: readonly string[],
): Promise<Map<string, { id: string; code: string }[]>> {
  const found = new Map<string, { id: string; code: string }[]>();
  if (marks.length === 0) return found;
  const rows = await src('piece')
    .whereIn('mark', marks)
    .whereNull('binned_at')
    .select('id', 'code', 'mark');
  for (const row of rows) {
    const key = String(row.mark).toLowerCase();
    found.set(key, [...(found.get(key) ?? []), { id: row.id, code: row.code }]);
  }
  return found;
}

/** Puts pieces of the past on the day they were made. */
export async function setMade(
  src: Source,
  pieces: readonly { id: string; at: Date }[],
): Promise<void> {
  for (const piece of pieces)
    await src('piece').where({ id: piece.id }).update({ created_at: piece.at });
}

export type HeldPiece = Pick<PieceSummary, 'id' | 'code' | 'ownerId' | 'waitingFor' | 'binned'>;

/** Makes this transaction the only one writing of these pieces, always in one order. */
export async function holdPieces(src: Source, ids: readonly string[]): Promise<HeldPiece[]> {
  const rows: Row[] = await src('piece')
    .whereIn('id', ids)
    .orderBy('id')
    .forUpdate()
    .select('id', 'code', 'owner_id', 'waiting_for', 'binned_at');
  return rows.map((row) => ({
    id: row.id,
    code: row.code,
    ownerId: row.owner_id,
    waitingFor: row.waiting_for,
    binned: row.binned_at !== null,
  }));
}
