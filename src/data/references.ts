/**
 * What refers to what, by the database's own catalogue: a table that a later migration adds is there by
 * itself.
 */
import type { Row, Source } from './database';

export type Reference = { table: string; column: string; of: string; by: string };

/** Every column that refers to a row, of any table or of one. */
export async function references(src: Source, of?: string): Promise<Reference[]> {
  const query = src('information_schema.KEY_COLUMN_USAGE')
    .whereRaw('TABLE_SCHEMA = DATABASE() AND REFERENCED_TABLE_SCHEMA = DATABASE()')
    .orderBy(['TABLE_NAME', 'COLUMN_NAME'])
    .select(
      'TABLE_NAME as table',
      'COLUMN_NAME as column',
      'REFERENCED_TABLE_NAME as of',
      'REFERENCED_COLUMN_NAME as by',
    );
  if (of !== undefined) query.where('REFERENCED_TABLE_NAME', of);
  const rows: Row[] = await query;
  return rows as Reference[];
}
