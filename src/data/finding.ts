/** What the search field asks of the records: cells by what they show, anything by the words in its notes. */
import type { TogetherColour } from '@/core/colour';
import type { ConeKnown } from '@/core/firing';
import type { Cut } from '@/core/frame';
import type { Atmosphere } from '@/core/signs';
import type { Row, Source } from './database';

export type CellAsked = {
  /** Null: on any. */
  bodyIds: readonly string[] | null;
  /** Slugs that lie in the stack. */
  coatings: readonly string[];
  /** The first lies on the second, and nothing else. */
  over: boolean;
  cone: string | null;
  /** "reduction" stands for any of them. */
  atmosphere: string | null;
  surface: string | null;
  opacity: string | null;
  signs: readonly string[];
  notSigns: readonly string[];
};
export type CellFound = {
  id: string;
  bodyId: string;
  stackKey: string;
  slips: string;
  cone: string;
  coneKnown: ConeKnown;
  atmosphere: Atmosphere;
  refired: boolean;
  base: string | null;
  over: string | null;
  depth: number;
  surface: string | null;
  movementMm: number | null;
  signs: { sign: string; pieces: number }[];
  colours: string[];
  /** Where a grey told it. */
  colour: TogetherColour | null;
  pieces: number;
  photo: string | null;
  cut: Cut | null;
};

/** Cells looked at, at most: the best known of what was asked for. */
const MOST = 400;
/** What runs less than this does not run, mm. */
export const RUNS = 3;

/** The cells that show what is asked for, those of fewest further coats first, then the best known. */
export async function findCells(src: Source, asked: CellAsked): Promise<CellFound[]> {
  const query = src('cell')
    .where('cell.refired', false)
    .where('cell.depth', '>', 0)
    .orderBy([{ column: 'cell.depth' }, { column: 'cell.pieces', order: 'desc' }, { column: 'cell.id' }])
    .limit(MOST)
    .select(
      'cell.*',
      src.raw(
        `(SELECT JSON_ARRAYAGG(colour) FROM sighting
          WHERE sighting.cell_id = cell.id AND colour IS NOT NULL) as colours`,
      ),
    );
  if (asked.bodyIds !== null) query.whereIn('cell.body_id', asked.bodyIds);
  if (asked.over) query.where({ over_slug: asked.coatings[0], base_slug: asked.coatings[1], depth: 2 });
  else
    for (const slug of asked.coatings)
      query.whereExists(
        src('cell_coat').where({ slug }).whereRaw('cell_coat.cell_id = cell.id').select(src.raw('1')),
      );
  if (asked.cone !== null) query.where('cell.cone', asked.cone);
  if (asked.atmosphere === 'reduction') query.where('cell.atmosphere', 'like', '%reduction');
  else if (asked.atmosphere !== null) query.where('cell.atmosphere', asked.atmosphere);
  if (asked.surface !== null) query.where('cell.surface', asked.surface);
  if (asked.opacity !== null)
    query.whereExists(
      src('sighting')
        .where({ opacity: asked.opacity })
        .whereRaw('sighting.cell_id = cell.id')
        .select(src.raw('1')),
    );
  const shows = `JSON_CONTAINS(JSON_EXTRACT(cell.signs, '$[*].sign'), JSON_QUOTE(?))`;
  for (const sign of asked.signs)
    if (sign === 'running')
      query.where((one) => one.whereRaw(shows, [sign]).orWhere('movement_mm', '>=', RUNS));
    else query.whereRaw(shows, [sign]);
  for (const sign of asked.notSigns) {
    query.whereRaw(`NOT COALESCE(${shows}, FALSE)`, [sign]);
    if (sign === 'running')
      query.where((one) => one.whereNull('movement_mm').orWhere('movement_mm', '<', RUNS));
  }
  return ((await query) as Row[]).map((row) => ({
    id: row.id,
    bodyId: row.body_id,
    stackKey: row.stack_key,
    slips: row.slips,
    cone: row.cone,
    coneKnown: row.cone_known,
    atmosphere: row.atmosphere,
    base: row.base_slug,
    over: row.over_slug,
    depth: row.depth,
    surface: row.surface,
    movementMm: row.movement_mm,
    signs: row.signs,
    colours: (typeof row.colours === 'string' ? JSON.parse(row.colours) : row.colours) ?? [],
    pieces: row.pieces,
    refired: Boolean(row.refired),
    colour: row.colour,
    photo: row.photo_sha,
    cut: row.photo_cut,
  }));
}

/** Words that the database's index leaves out (InnoDB's own list). */
const STOP = new Set([
  'about',
  'are',
  'com',
  'for',
  'from',
  'how',
  'that',
  'the',
  'this',
  'und',
  'was',
  'what',
  'when',
  'where',
  'who',
  'will',
  'with',
  'www',
]);

/** "+damper* +slipped*": every word, as it begins. Signs that mean something to the index are left out. */
const booleanWords = (words: readonly string[]): string =>
  words
    .map((word) => word.replace(/[^\p{L}\p{N}]/gu, ''))
    .filter((word) => word.length > 2 && !STOP.has(word.toLowerCase()))
    .map((word) => `+${word}*`)
    .join(' ');

export type WordsFound = { kind: 'piece' | 'firing' | 'question'; id: string; text: string };

/**
 * Pieces, firings and questions whose words hold all of these; the newest first. `ownerId`: only that
 * person’s pieces.
 */
export async function findWords(
  src: Source,
  words: readonly string[],
  only: { ownerId: string } | null,
): Promise<WordsFound[]> {
  const wanted = booleanWords(words);
  if (wanted === '') return [];
  const match = (columns: string): string => `MATCH (${columns}) AGAINST (? IN BOOLEAN MODE)`;
  const LIMIT = 8;
  const own = (alias: string) =>
    only === null
      ? src.raw('TRUE')
      : src.raw(`${alias} IN (SELECT id FROM piece WHERE owner_id = ?)`, [only.ownerId]);
  const [notes, looks, spoken, flags] = (await Promise.all([
    src('piece')
      .whereRaw(match('notes'), [wanted])
      .where(own('piece.id'))
      .whereNull('binned_at')
      .orderBy('created_at', 'desc')
      .limit(LIMIT)
      .select('id', 'notes as text'),
    src('observation')
      .whereRaw(match('note'), [wanted])
      .where(own('piece_id'))
      .whereNull('superseded_at')
      .orderBy('seen_at', 'desc')
      .limit(LIMIT)
      .select('piece_id as id', 'note as text'),
    src('sound')
      .whereRaw(match('words'), [wanted])
      .whereNotNull('piece_id')
      .where(own('piece_id'))
      .whereNull('binned_at')
      .orderBy('spoken_at', 'desc')
      .limit(LIMIT)
      .select('piece_id as id', 'words as text'),
    src('flag')
      .whereRaw(match('text'), [wanted])
      .where(own('piece_id'))
      .whereNull('cleared_at')
      .orderBy('raised_at', 'desc')
      .limit(LIMIT)
      .select('piece_id as id', 'text'),
  ])) as Row[][];
  const pieces = [...notes!, ...looks!, ...spoken!, ...flags!].map(({ id, text }): WordsFound => ({
    kind: 'piece',
    id,
    text,
  }));
  if (only !== null) return pieces;
  const [firings, questions, heard] = (await Promise.all([
    src('firing')
      .whereRaw(match('notes'), [wanted])
      .orderBy('created_at', 'desc')
      .limit(LIMIT)
      .select('id', 'notes as text'),
    src('question')
      .whereRaw(match('text, varied, held, expected'), [wanted])
      .orderBy('no', 'desc')
      .limit(LIMIT)
      .select('id', 'text'),
    src('sound')
      .whereRaw(match('words'), [wanted])
      .whereNull('piece_id')
      .whereNull('binned_at')
      .orderBy('spoken_at', 'desc')
      .limit(LIMIT)
      .select('firing_id as id', 'words as text'),
  ])) as Row[][];
  return [
    ...questions!.map(({ id, text }): WordsFound => ({ kind: 'question', id, text })),
    ...[...firings!, ...heard!].map(({ id, text }): WordsFound => ({ kind: 'firing', id, text })),
    ...pieces,
  ];
}

/** Pieces that wait for something, newest first. */
export async function findWaiting(
  src: Source,
  waitsFor: string,
  only: { ownerId: string } | null,
): Promise<string[]> {
  const query = src('piece')
    .where({ waiting_for: waitsFor })
    .whereNull('binned_at')
    .orderBy('created_at', 'desc')
    .limit(12);
  if (only !== null) query.where({ owner_id: only.ownerId });
  return query.pluck('id');
}
