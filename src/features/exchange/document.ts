/** Everything a studio has recorded, as one document or as tables, written while it is read. */
import { z } from 'zod';
import type { Database, Row, Source } from '@/data/database';
import {
  exportCatalogue,
  inOneMoment,
  streamRows,
  type ColumnKind,
  type ExportColumn,
  type ExportTable,
} from '@/data/export';
import { unitOf } from './units';

const SHAPES: Record<ColumnKind, z.ZodType> = {
  text: z.string(),
  number: z.number(),
  boolean: z.boolean(),
  moment: z.iso.datetime(),
  date: z.iso.date(),
  json: z.json(),
};

const shapeOf = ({ kind, nullable }: ExportColumn): z.ZodType =>
  nullable ? z.union([SHAPES[kind], z.null()]) : SHAPES[kind];

const FORMAT = 'jiten-studio';
const VERSION = 2;

/** The shape of the document, from the database's own catalogue. */
export const documentSchema = (tables: readonly ExportTable[]) =>
  z.object({
    format: z.literal(FORMAT),
    version: z.literal(VERSION),
    exportedAt: z.iso.datetime(),
    ...Object.fromEntries(
      tables.map(({ name, columns }) => [
        name,
        z.array(z.object(Object.fromEntries(columns.map((one) => [one.name, shapeOf(one)])))),
      ]),
    ),
  });

/** The JSON Schema of the document. */
export const documentJsonSchema = async (src: Source): Promise<unknown> =>
  z.toJSONSchema(documentSchema(await exportCatalogue(src)));

function plainValue({ kind }: ExportColumn, value: unknown): unknown {
  if (value === null) return null;
  if (value instanceof Date) return value.toISOString();
  if (kind === 'boolean') return Boolean(value);
  // What is streamed comes as the text it is kept as.
  if (kind === 'json' && typeof value === 'string') return JSON.parse(value) as unknown;
  return value;
}

const plainRow = (table: ExportTable, row: Row): Row =>
  Object.fromEntries(table.columns.map((one) => [one.name, plainValue(one, row[one.name])]));

/** The whole studio as the text of one JSON document, piece by piece. */
export const documentText = (db: Database, now: Date): AsyncGenerator<string> =>
  inOneMoment(db, async function* (src, tables) {
    yield `{"format":"${FORMAT}","version":${VERSION},"exportedAt":"${now.toISOString()}"`;
    for (const table of tables) {
      yield `,\n"${table.name}":[`;
      let before = '\n';
      for await (const row of streamRows(src, table)) {
        yield before + JSON.stringify(plainRow(table, row));
        before = ',\n';
      }
      yield ']';
    }
    yield '}\n';
  });

export type TableLines = { table: string; line: unknown[] };

/** All tables as lines for CSV: header, units, rows. A leading formula sign is defused for spreadsheets. */
export const tableLines = (db: Database): AsyncGenerator<TableLines> =>
  inOneMoment(db, async function* (src, tables) {
    const flat = (value: unknown): unknown =>
      typeof value === 'object' && value !== null ? JSON.stringify(value) : value;
    const safe = (value: unknown): unknown =>
      typeof value === 'string' && /^[=+\-@\t]/.test(value) ? `'${value}` : value;
    for (const table of tables) {
      const { name } = table;
      yield { table: name, line: table.columns.map((one) => one.name) };
      yield { table: name, line: table.columns.map((one) => unitOf(name, one)) };
      for await (const row of streamRows(src, table)) {
        const plain = plainRow(table, row);
        yield { table: name, line: table.columns.map((one) => safe(flat(plain[one.name]))) };
      }
    }
  });
