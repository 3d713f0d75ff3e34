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
  // A double stays put away; it is taken apart from what it was merged into instead.
  await src(table).where({ id }).whereNull('merged_into').update({ archived_at: at });
}

type Entry = { id: string; slug: string; mergedInto: string | null };

/** The entry that a slug stands for: a double stands for the one it was merged into. */
export function entryAt<T extends Entry>(entries: readonly T[], slug: string): T | undefined {
  const found = entries.find((one) => one.slug === slug);
  return found === undefined || found.mergedInto === null
    ? found
    : entries.find(({ id }) => id === found.mergedInto);
}
