/** What bodies, coatings and kilns share: saved over the revision that was read, set aside and taken back. */
import type { Source } from './database';
import { writeOver } from './rows';
import { type BodyFields, bodyColumns } from './bodies';
import { type CoatingFields, coatingColumns } from './coatings';
import { type KilnFields, kilnColumns } from './kilns';

type Editable = { body: BodyFields; coating: CoatingFields; kiln: KilnFields };

const COLUMNS = { body: bodyColumns, coating: coatingColumns, kiln: kilnColumns };

/** Saves over the revision that was read; false when somebody saved in between. */
export async function updateEntry<T extends keyof Editable>(
  src: Source,
  table: T,
  id: string,
  fields: Editable[T],
  revision: number,
): Promise<boolean> {
  const columns = (COLUMNS[table] as (fields: Editable[T]) => Record<string, unknown>)(fields);
  return writeOver(src, table, { id, revision }, columns);
}

export async function setArchived(
  src: Source,
  table: keyof Editable,
  id: string,
  at: Date | null,
): Promise<void> {
  await src(table).where({ id }).update({ archived_at: at });
}
