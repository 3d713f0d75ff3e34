import { z } from 'zod';
import type { Row, Source } from '@/data/database';
import { EXPORTED, readTableRows } from '@/data/export';
import { COLUMNS, moment, text } from './tables';

/** Everything a studio has recorded, as one document. People's names and passwords stay here. */
export const documentSchema = z.object({
  format: z.literal('jiten-studio'),
  version: z.literal(1),
  exportedAt: moment,
  studio: z.object({ name: text, timeZone: text }),
  ...Object.fromEntries(
    EXPORTED.map((table) => [
      table,
      z.array(
        z.object(
          Object.fromEntries(
            Object.entries(COLUMNS[table]!).map(([column, { type }]) => [column, type]),
          ),
        ),
      ),
    ]),
  ),
});

/** The JSON Schema of the document, made from the same shapes. */
export const documentJsonSchema = (): unknown => z.toJSONSchema(documentSchema);

const BOOLEANS = new Set(['addition', 'iron_bearing', 'dried_before', 'wanted', 'turned']);

function plainValue(column: string, value: unknown): unknown {
  if (value instanceof Date) return value.toISOString();
  if (BOOLEANS.has(column) && value !== null) return Boolean(value);
  return value;
}

async function exportRows(src: Source, table: string): Promise<Row[]> {
  const columns = Object.keys(COLUMNS[table]!);
  const rows = await readTableRows(src, table, columns);
  return rows.map((row) =>
    Object.fromEntries(columns.map((column) => [column, plainValue(column, row[column])])),
  );
}

export async function exportDocument(
  src: Source,
  studio: { name: string; timeZone: string },
  now: Date,
): Promise<unknown> {
  const tables: Record<string, Row[]> = {};
  for (const table of EXPORTED) tables[table] = await exportRows(src, table);
  return {
    format: 'jiten-studio',
    version: 1,
    exportedAt: now.toISOString(),
    studio: { name: studio.name, timeZone: studio.timeZone },
    ...tables,
  };
}

/** A table as lines for CSV: header, units, rows. A leading formula sign is defused for spreadsheets. */
export async function exportLines(src: Source, table: string): Promise<unknown[][]> {
  const columns = Object.entries(COLUMNS[table]!);
  const rows = await exportRows(src, table);
  const flat = (value: unknown): unknown =>
    typeof value === 'object' && value !== null ? JSON.stringify(value) : value;
  const safe = (value: unknown): unknown =>
    typeof value === 'string' && /^[=+\-@\t]/.test(value) ? `'${value}` : value;
  return [
    columns.map(([column]) => column),
    columns.map(([, { unit }]) => unit ?? ''),
    ...rows.map((row) => columns.map(([column]) => safe(flat(row[column])))),
  ];
}
