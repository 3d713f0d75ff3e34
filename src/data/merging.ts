/**
 * Doubles made one: everything that refers to one row is led to another, by the database's own list of
 * what refers to what, and each step is kept as a move that can be taken back.
 */
import type { Row, Source } from './database';
import { references, type Reference } from './references';
import { WAYS_IN } from './sessions';

export const MERGED_KINDS = ['body', 'coating', 'kiln', 'person'] as const;
export type MergedKind = (typeof MERGED_KINDS)[number];

/** Rows of a table, by their key, in which some columns took other values. */
export type Move = {
  table: string;
  was: Record<string, unknown>;
  became: Record<string, unknown>;
  /** Key columns that did not change, and their values row by row; all as text. */
  key: string[];
  rows: string[][];
};

/** What is not led over, and why. */
const STAYS: Readonly<Record<string, string>> = {
  cell: 'follows from the looks',
  session: 'who is signed in as a double is signed out',
  known_device: 'a double has no device',
  reset_link: 'a double has no password to be set',
  recipe_line: 'a recipe belongs to the version that was mixed by it',
  merger: 'tells what was merged by whom',
};

/** Every column that refers to a table and is led over. */
const referencesTo = async (src: Source, table: string): Promise<Reference[]> =>
  (await references(src, table)).filter((one) => STAYS[one.table] === undefined);

async function keyOf(src: Source, table: string): Promise<string[]> {
  return src('information_schema.KEY_COLUMN_USAGE')
    .whereRaw('TABLE_SCHEMA = DATABASE()')
    .where({ TABLE_NAME: table, CONSTRAINT_NAME: 'PRIMARY' })
    .orderBy('ORDINAL_POSITION')
    .pluck('COLUMN_NAME');
}

const CHUNK = 1000;

/** Carries a move out, or back; rows that somebody has changed since are left as they are. */
async function carry(src: Source, move: Move, back: boolean): Promise<void> {
  const [from, to] = back ? [move.became, move.was] : [move.was, move.became];
  for (let i = 0; i < move.rows.length; i += CHUNK) {
    const rows = src(move.table).where(from);
    if (move.key.length > 0) rows.whereIn(move.key, move.rows.slice(i, i + CHUNK));
    const { sql, bindings } = rows.update(to).toSQL().toNative();
    // Two readings of one moment would be one row: the one that was there first stays.
    await src.raw(sql.replace(/^update/i, 'UPDATE IGNORE'), [...bindings]);
  }
}

/** Moves done in order; `undoMoves` takes them back. */
export async function carryMoves(src: Source, moves: readonly Move[]): Promise<void> {
  for (const move of moves) await carry(src, move, false);
}

export async function undoMoves(src: Source, moves: readonly Move[]): Promise<void> {
  for (const move of [...moves].reverse()) await carry(src, move, true);
}

/** What would lead everything that refers to one row of `table` to another. */
export async function leadOver(src: Source, table: string, from: string, into: string): Promise<Move[]> {
  const moves: Move[] = [];
  for (const { table: of, column } of await referencesTo(src, table)) {
    const key = (await keyOf(src, of)).filter((one) => one !== column);
    const picked = key.map((one) => src.raw('CAST(?? AS CHAR) AS ??', [one, one]));
    const rows: Row[] = await src(of)
      .where({ [column]: from })
      .select(picked);
    if (rows.length === 0) continue;
    moves.push({
      table: of,
      was: { [column]: from },
      became: { [column]: into },
      key,
      rows: rows.map((row) => key.map((one) => row[one] as string)),
    });
  }
  return moves;
}

/** One row with its own columns changed, as a move. */
export const moveOf = (table: string, id: string, was: Move['was'], became: Move['became']): Move => ({
  table,
  was,
  became,
  key: ['id'],
  rows: [[id]],
});

/** Both rows, held until the transaction ends; null where one is not there. */
export async function holdBoth(
  src: Source,
  kind: MergedKind,
  from: string,
  into: string,
): Promise<{ from: Row; into: Row } | null> {
  const rows: Row[] = await src(kind).whereIn('id', [from, into]).orderBy('id').forUpdate();
  const [a, b] = [from, into].map((id) => rows.find((row) => row.id === id));
  return a === undefined || b === undefined ? null : { from: a, into: b };
}

/** A row put away as a double of another one, in words of its table. */
export async function putAway(
  src: Source,
  kind: MergedKind,
  from: string,
  into: string,
  now: Date,
): Promise<Move> {
  const column = kind === 'person' ? 'disabled_at' : 'archived_at';
  const at = now.toISOString().replace('T', ' ').replace('Z', '');
  const row: Row = await src(kind)
    .where({ id: from })
    .first(src.raw('CAST(?? AS CHAR) AS was', [column]));
  if (kind === 'person') for (const table of WAYS_IN) await src(table).where({ person_id: from }).delete();
  return moveOf(kind, from, { merged_into: null, [column]: row.was }, { merged_into: into, [column]: at });
}

/** Firings of a kiln and versions of a coating get the next numbers of the one they join. */
export async function renumbered(
  src: Source,
  table: 'firing' | 'coating_version',
  from: string,
  into: string,
): Promise<Move[]> {
  const column = table === 'firing' ? 'kiln_id' : 'coating_id';
  const rows: Row[] = await src(table)
    .where({ [column]: from })
    .orderBy('no')
    .select('id', 'no');
  const last = await src(table)
    .where({ [column]: into })
    .max({ no: 'no' })
    .first();
  const next = Number((last as Row | undefined)?.no ?? 0) + 1;
  return rows.map((row, i) =>
    moveOf(table, row.id, { [column]: from, no: row.no }, { [column]: into, no: next + i }),
  );
}

/** A kiln's next firing gets the number after its last one. */
export const countFirings = (src: Source, kilnId: string): Promise<unknown> =>
  src('kiln')
    .where({ id: kilnId })
    .update({
      next_firing_no: src.raw(
        'GREATEST(next_firing_no, (SELECT COALESCE(MAX(no), 0) + 1 FROM firing WHERE kiln_id = kiln.id))',
      ),
    });

/** Where the pieces stand that a row of a table says something of, by its id. */
const BY_KEY: Readonly<Record<string, readonly [table: string, column: string][]>> = {
  observation: [['observation', 'id']],
  firing: [['placement', 'firing_id']],
  coating_version: [
    ['layer', 'coating_version_id'],
    ['face', 'slip_version_id'],
  ],
};

/** The pieces whose cells or journeys such moves may change. */
export async function piecesMoved(src: Source, moves: readonly Move[]): Promise<string[]> {
  const ids = new Set<string>();
  for (const { table, key, rows } of moves)
    for (let i = 0; i < rows.length; i += CHUNK) {
      const chunk = rows.slice(i, i + CHUNK);
      if (table === 'piece') for (const row of chunk) ids.add(row[0]!);
      else if (table === 'layer' || table === 'face')
        for (const row of chunk) ids.add(row[key.indexOf('piece_id')]!);
      else
        for (const [of, column] of BY_KEY[table] ?? [])
          for (const id of await src(of)
            .whereIn(
              column,
              chunk.map((row) => row[0]!),
            )
            .distinct()
            .pluck('piece_id'))
            ids.add(id as string);
    }
  return [...ids];
}

/** How many records have come under a double's name since it was merged, by merger. */
export async function lateComers(
  src: Source,
  mergers: readonly { id: string; kind: MergedKind; fromId: string }[],
): Promise<Map<string, number>> {
  const late = new Map<string, number>();
  for (const { id, kind, fromId } of mergers) {
    const ids = { [kind]: [fromId], coating_version: [] as string[] };
    if (kind === 'coating')
      ids.coating_version = await src('coating_version').where({ coating_id: fromId }).pluck('id');
    let sum = 0;
    for (const [table, from] of Object.entries(ids))
      for (const { table: of, column } of from.length === 0 ? [] : await referencesTo(src, table)) {
        if (of === 'coating_version') continue;
        const row = await src(of).whereIn(column, from).count({ n: '*' }).first();
        sum += Number(row?.n ?? 0);
      }
    if (sum > 0) late.set(id, sum);
  }
  return late;
}
