import { waitsFor, wantedNext, type MadeFor, type Passage, type WaitsFor } from '@/core/journey';
import type { Face, KeyKnown } from '@/core/zones';
import { insertMany, type Row, type Source } from './database';
import { flagsOf, type Flag } from './flags';
import { faceRow, type FaceFields } from './faces';
import { facesOf, layerRow, layersOf, type LayerFields, type PieceLayer } from './layers';
import { takeCodes } from './studio';

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
  madeFor: MadeFor | null;
  /** Where it has been already, when it comes from older records. */
  been?: readonly Passage[];
  wantedCone: string | null;
  wantedAtmosphere: string | null;
  faces: FaceFields[];
  meant: LayerFields[];
  done: LayerFields[];
  /** How sure it is what lies on it; sure unless said. */
  keyKnown?: KeyKnown;
  /** What it was in the table that it came from, as a fingerprint. */
  cameAs?: string;
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
  /** Its owner lets others in the studio look at it. */
  shown: boolean;
  ownerName: string | null;
  madeOn: string | null;
  notes: string;
  waitingFor: WaitsFor | null;
  wantedCone: string | null;
  wantedAtmosphere: string | null;
  /** What it wants of its next firing: of a refire, what that is for. */
  wantedNext: { cone: string | null; atmosphere: string | null };
  refireTodo: string;
  createdAt: Date;
  /** How sure it is what lies on it. */
  keyKnown: KeyKnown;
  /** Who said later what lies on it, and when, where nobody had known. */
  keySaid: { by: string; at: Date } | null;
  binned: boolean;
  revision: number;
};

export type Piece = PieceSummary & {
  faces: Face[];
  meant: PieceLayer[];
  done: PieceLayer[];
  flags: Flag[];
};

/** Writes pieces with faces and layers, and gives each its code, in the order given. */
export async function createPieces(
  src: Source,
  pieces: readonly NewPiece[],
  by: string,
  now: Date,
): Promise<string[]> {
  if (pieces.length === 0) return [];
  const codes = await takeCodes(src, pieces.length);
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
      made_for: piece.madeFor,
      waiting_for: waitsFor({ madeFor: piece.madeFor, passages: piece.been ?? [] }),
      wanted_cone: piece.wantedCone,
      wanted_atmosphere: piece.wantedAtmosphere,
      key_known: piece.keyKnown ?? 'sure',
      came_as: piece.cameAs ?? null,
      created_by: by,
      created_at: now,
    })),
  );
  await insertMany(
    src,
    'face',
    pieces.flatMap((piece) => piece.faces.map((face) => faceRow(piece.id, face))),
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

const SUMMARY = [
  'piece.*',
  'body.name as body_name',
  'body.slug as body_slug',
  'person.name as owner_name',
  'key_sayer.name as key_said_name',
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
  shown: Boolean(row.shown),
  ownerName: row.owner_name,
  madeOn: row.made_on,
  notes: row.notes,
  waitingFor: row.waiting_for,
  wantedCone: row.wanted_cone,
  wantedAtmosphere: row.wanted_atmosphere,
  wantedNext: wantedNext({
    waitsFor: row.waiting_for,
    cone: row.wanted_cone,
    atmosphere: row.wanted_atmosphere,
    refire: { cone: row.refire_cone, atmosphere: row.refire_atmosphere },
  }),
  refireTodo: row.refire_todo ?? '',
  createdAt: row.created_at,
  keyKnown: row.key_known,
  keySaid: row.key_said_at === null ? null : { by: row.key_said_name, at: row.key_said_at },
  binned: row.binned_at !== null,
  revision: row.revision,
});

const summaries = (src: Source) =>
  src('piece')
    .join('body', 'body.id', 'piece.body_id')
    .leftJoin('person', 'person.id', 'piece.owner_id')
    .leftJoin('person as key_sayer', 'key_sayer.id', 'piece.key_said_by')
    .select(SUMMARY);

export type PieceFilter = {
  ids?: readonly string[];
  codes?: readonly string[];
  mark?: string;
  ownerId?: string;
  lotId?: string;
  waiting?: boolean;
  binned?: boolean;
  /** Of which nobody knows what lies on them. */
  lost?: boolean;
  limit?: number;
};

/** Waits to be fired: not in the bin, and in no firing that is not opened yet. */
export const thatWait = (src: Source) =>
  src('piece')
    .whereNotNull('piece.waiting_for')
    .whereNull('piece.binned_at')
    .whereNotExists(src('placement').select(src.raw('1')).whereRaw('placement.open_piece_id = piece.id'));

/** Pieces without their layers, newest first. */
export async function listPieces(src: Source, filter: PieceFilter = {}): Promise<PieceSummary[]> {
  const query = summaries(src).orderBy([
    { column: 'piece.created_at', order: 'desc' },
    { column: 'piece.id' },
  ]);
  if (filter.ids) query.whereIn('piece.id', filter.ids);
  // A column of plain letters cannot even be asked for others: nothing is so called.
  if (filter.codes)
    query.whereIn(
      'piece.code',
      filter.codes.filter((one) => /^[!-~]*$/.test(one)),
    );
  if (filter.mark !== undefined) query.where('piece.mark', filter.mark);
  if (filter.ownerId !== undefined) query.where('piece.owner_id', filter.ownerId);
  if (filter.lotId !== undefined) query.where('piece.lot_id', filter.lotId);
  if (filter.binned) query.whereNotNull('piece.binned_at');
  else if (!filter.ids && !filter.codes) query.whereNull('piece.binned_at');
  if (filter.lost) query.where('piece.key_known', 'lost');
  if (filter.waiting) query.whereIn('piece.id', thatWait(src).select('piece.id'));
  if (filter.limit !== undefined) query.limit(filter.limit);
  return (await query).map(summary);
}

/** Pieces with faces, layers and open flags. */
export async function loadPieces(src: Source, filter: PieceFilter): Promise<Piece[]> {
  const list = await listPieces(src, filter);
  const ids = list.map((piece) => piece.id);
  if (ids.length === 0) return [];
  const [faces, layers, flags] = await Promise.all([
    facesOf(src, ids),
    layersOf(src, ids),
    flagsOf(src, ids),
  ]);
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
    shown: boolean;
    height_mm: number | null;
    binned_at: Date | null;
    body_id: string;
    form: string;
    kind: 'tile' | 'ware';
    wanted_cone: string | null;
    wanted_atmosphere: string | null;
    key_known: KeyKnown;
  }>,
): Promise<void> {
  await src('piece')
    .where({ id })
    .update({ ...fields, revision: src.raw('revision + 1') });
}

/** Puts pieces into the bin, all at one moment, or takes them out of it. */
export async function putIntoBin(src: Source, ids: readonly string[], at: Date | null): Promise<void> {
  for (let i = 0; i < ids.length; i += 1000)
    await src('piece')
      .whereIn('id', ids.slice(i, i + 1000))
      .update({ binned_at: at, revision: src.raw('revision + 1') });
}

export async function createLot(
  src: Source,
  lot: { id: string; kind: 'alike' | 'matrix' | 'import' | 'design'; name: string },
  by: string,
  now: Date,
): Promise<void> {
  await src('lot').insert({ ...lot, created_by: by, created_at: now });
}

/** Pieces that bear one of these marks, by mark in lower case. */
export async function findByMarks(
  src: Source,
  marks: readonly string[],
): Promise<Map<string, { id: string; code: string }[]>> {
  const found = new Map<string, { id: string; code: string }[]>();
  if (marks.length === 0) return found;
  const rows = await src('piece').whereIn('mark', marks).whereNull('binned_at').select('id', 'code', 'mark');
  for (const row of rows) {
    const key = String(row.mark).toLowerCase();
    found.set(key, [...(found.get(key) ?? []), { id: row.id, code: row.code }]);
  }
  return found;
}

/** Puts pieces of the past on the day they were made. */
export async function setMade(
  src: Source,
  pieces: readonly { id: string; at: Date; glazedAt: Date | null }[],
): Promise<void> {
  for (const { id, at, glazedAt } of pieces) {
    await src('piece').where({ id }).update({ created_at: at });
    if (glazedAt !== null)
      await src('layer').where({ piece_id: id, intent: 'done' }).update({ recorded_at: glazedAt });
  }
}

export type HeldPiece = Pick<PieceSummary, 'id' | 'code' | 'ownerId' | 'binned'>;

/** Makes this transaction the only one writing of these pieces, always in one order. */
export async function holdPieces(src: Source, ids: readonly string[]): Promise<HeldPiece[]> {
  const rows: Row[] = await src('piece')
    .whereIn('id', ids)
    .orderBy('id')
    .forUpdate()
    .select('id', 'code', 'owner_id', 'binned_at');
  return rows.map((row) => ({
    id: row.id,
    code: row.code,
    ownerId: row.owner_id,
    binned: row.binned_at !== null,
  }));
}
