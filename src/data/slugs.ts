/** Slugs are given once and never change. */
import type { Source } from './database';
import { slugOf } from './ids';

/** A slug that no row of the table has yet. Slugs never change afterwards, names may. */
export async function freeSlug(
  src: Source,
  table: 'body' | 'coating' | 'kiln',
  name: string,
): Promise<string> {
  const slug = slugOf(name);
  const taken = new Set(
    (await src(table).where('slug', 'like', `${slug}%`).select('slug')).map((row) => row.slug),
  );
  if (!taken.has(slug)) return slug;
  for (let n = 2; ; n++) if (!taken.has(`${slug}-${n}`)) return `${slug}-${n}`;
}
