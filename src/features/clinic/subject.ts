/** What a new case is to be of, as an address says it. */
import { z } from 'zod';
import { listBodies } from '@/data/bodies';
import { listBuckets } from '@/data/buckets';
import { listCoatings } from '@/data/coatings';
import type { Source } from '@/data/database';
import { firingTitle } from '@/core/firing';
import { listFirings } from '@/data/firings';
import type { WideSubject } from './components/OpenWideCase';

export type Subject = { name: string; of: WideSubject };

/**
 * `?coating=`, `?bucket=`, `?body=` or `?firing=` with an id; null where there is none of these, or no such
 * thing.
 */
export async function subjectOf(
  src: Source,
  query: Readonly<Record<string, string | undefined>>,
): Promise<Subject | null> {
  const find = async (kind: WideSubject['kind'], id: string): Promise<{ name: string } | undefined> => {
    if (kind === 'bucket') return (await listBuckets(src, { id }))[0];
    if (kind === 'firing') {
      const [one] = await listFirings(src, { ids: [id] });
      return one && { name: `the whole load of ${firingTitle(one)}` };
    }
    const list = kind === 'body' ? await listBodies(src) : await listCoatings(src);
    return list.find((one) => one.id === id);
  };
  for (const kind of ['coating', 'bucket', 'body', 'firing'] as const) {
    const id = z.uuid().safeParse(query[kind]);
    if (!id.success) continue;
    const found = await find(kind, id.data);
    if (found !== undefined) return { name: found.name, of: { kind, id: id.data } };
  }
  return null;
}
