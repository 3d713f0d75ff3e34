/**
 * Which tables and columns leave with an export: all that the database has, but for what is named
 * here with its reason. A table or column that a later migration adds leaves by itself.
 */
import type { Database, Row, Source } from './database';

/** Tables that stay, and why. */
export const TABLES_LEFT_OUT: Readonly<Record<string, string>> = {
  person: 'names, sign-in names and passwords of people stay in the studio',
  session: 'a secret of who is signed in',
  known_device: 'a secret of who is signed in',
  reset_link: 'a secret that opens once',
  invitation: 'a secret that lets somebody in',
  share_link: 'a secret that lets somebody look',
  kiln_token: 'a secret of a device',
  attempt: 'tries to sign in, forgotten by themselves',
  operation: 'answers to acts already carried out, for repeats only',
  tick: 'who has done which row of a sheet, forgotten by itself',
  merger: 'what taking two apart again needs; what was merged says so itself',
  cell: 'follows from the observations',
  cell_coat: 'follows from the observations',
  sighting: 'follows from the observations',
  repeats: 'follows from the colours in the pictures',
  migration_hold: 'the program’s own',
  knex_migrations: 'the program’s own',
  knex_migrations_lock: 'the program’s own',
};

/** Columns that stay wherever they stand, and why. */
export const COLUMNS_LEFT_OUT: Readonly<Record<string, string>> = {
  revision: 'tells two savings apart, and means nothing elsewhere',
  open_piece_id: 'follows from the status of the firing',
  said: 'follows from the log and the cones',
  cooled: 'follows from the log',
  taught: 'follows from the logs and the cones of its kiln',
  next_piece_no: 'counts the codes given out here',
  next_firing_no: 'counts the firings of a kiln',
};

/** Who did something stays with the people: whose a piece is, and who is on duty, leave as bare ids. */
const PEOPLE_THAT_LEAVE = new Set(['piece.owner_id', 'firing.on_duty']);

export type ColumnKind = 'text' | 'number' | 'boolean' | 'moment' | 'date' | 'json';
export type ExportColumn = { name: string; kind: ColumnKind; nullable: boolean };
export type ExportTable = { name: string; columns: ExportColumn[] };

const KINDS: Record<string, ColumnKind> = {
  uuid: 'text',
  char: 'text',
  varchar: 'text',
  text: 'text',
  mediumtext: 'text',
  longtext: 'text',
  enum: 'text',
  tinyint: 'number',
  smallint: 'number',
  int: 'number',
  bigint: 'number',
  float: 'number',
  double: 'number',
  decimal: 'number',
  datetime: 'moment',
  date: 'date',
};

/** Every table and column of the database with whether it leaves; `why` is the reason when it stays. */
export async function wholeCatalogue(
  src: Source,
): Promise<{ table: string; column: ExportColumn; why: string | null }[]> {
  const [rows, checks, people] = (await Promise.all([
    src('information_schema.COLUMNS')
      .whereRaw('TABLE_SCHEMA = DATABASE()')
      .orderBy(['TABLE_NAME', 'ORDINAL_POSITION'])
      .select('TABLE_NAME', 'COLUMN_NAME', 'DATA_TYPE', 'COLUMN_TYPE', 'IS_NULLABLE'),
    src('information_schema.CHECK_CONSTRAINTS')
      .whereRaw('CONSTRAINT_SCHEMA = DATABASE()')
      .where('CHECK_CLAUSE', 'like', 'json_valid(%')
      .select('TABLE_NAME', 'CONSTRAINT_NAME'),
    src('information_schema.KEY_COLUMN_USAGE')
      .whereRaw('TABLE_SCHEMA = DATABASE()')
      .where('REFERENCED_TABLE_NAME', 'person')
      .select('TABLE_NAME', 'COLUMN_NAME'),
  ])) as [Row[], Row[], Row[]];
  const at = (table: string, column: string): string => `${table}.${column}`;
  const json = new Set(checks.map((row) => at(row.TABLE_NAME, row.CONSTRAINT_NAME)));
  const who = new Set(people.map((row) => at(row.TABLE_NAME, row.COLUMN_NAME)));
  return rows.map((row) => {
    const [table, name] = [row.TABLE_NAME as string, row.COLUMN_NAME as string];
    const place = at(table, name);
    const kind = json.has(place)
      ? 'json'
      : row.COLUMN_TYPE === 'tinyint(1)'
        ? 'boolean'
        : KINDS[row.DATA_TYPE as string];
    const why =
      TABLES_LEFT_OUT[table] ??
      COLUMNS_LEFT_OUT[name] ??
      (who.has(place) && !PEOPLE_THAT_LEAVE.has(place) ? 'who did it stays with the people' : null);
    if (kind === undefined && why === null) throw new Error(`${place}: no way to export ${row.DATA_TYPE}.`);
    return {
      table,
      column: { name, kind: kind ?? 'text', nullable: row.IS_NULLABLE === 'YES' },
      why,
    };
  });
}

/** What leaves, table by table, each after those it refers to: the order in which it can be read back. */
export async function exportCatalogue(src: Source): Promise<ExportTable[]> {
  const tables = new Map<string, ExportTable>();
  for (const { table, column, why } of await wholeCatalogue(src)) {
    if (why !== null) continue;
    const held = tables.get(table) ?? { name: table, columns: [] };
    held.columns.push(column);
    tables.set(table, held);
  }
  const links: Row[] = await src('information_schema.KEY_COLUMN_USAGE')
    .whereRaw('TABLE_SCHEMA = DATABASE()')
    .whereNotNull('REFERENCED_TABLE_NAME')
    .select('TABLE_NAME', 'REFERENCED_TABLE_NAME');
  const needs = new Map<string, Set<string>>();
  for (const { TABLE_NAME: table, REFERENCED_TABLE_NAME: other } of links)
    if (table !== other && tables.has(other)) needs.set(table, (needs.get(table) ?? new Set()).add(other));
  const ordered: ExportTable[] = [];
  const put = (name: string, under: readonly string[]): void => {
    const table = tables.get(name);
    if (table === undefined || ordered.includes(table) || under.includes(name)) return;
    for (const other of [...(needs.get(name) ?? [])].sort()) put(other, [...under, name]);
    ordered.push(table);
  };
  for (const name of [...tables.keys()].sort()) put(name, []);
  return ordered;
}

/** The rows of a table as they lie, one after another, without holding them all. */
export async function* streamRows(src: Source, table: ExportTable): AsyncGenerator<Row> {
  const rows = src(table.name)
    .select(table.columns.map(({ name }) => name))
    .stream({ highWaterMark: 500 });
  for await (const row of rows) yield row as Row;
}

/**
 * Reads all tables as they were at one moment, whatever is written meanwhile; the transaction ends
 * with the reading, also when whoever reads goes away.
 */
export async function* inOneMoment<T>(
  db: Database,
  read: (src: Source, tables: readonly ExportTable[]) => AsyncGenerator<T>,
): AsyncGenerator<T> {
  const trx = await db.transaction(undefined, { isolationLevel: 'repeatable read' });
  try {
    // The first read of a table fixes the moment.
    await trx('studio').first('id');
    yield* read(trx, await exportCatalogue(trx));
  } finally {
    await trx.rollback();
  }
}
