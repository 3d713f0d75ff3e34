import { isDuplicate } from '@/data/database';
import { newId } from '@/data/ids';
import { conflict, refuse } from '@/platform/refusal';

export const STALE =
  'Somebody else saved this meanwhile. Your words are still here: open it again in another tab to compare.';

/** A name that is taken is said at the name. */
async function nameFree<T>(what: string, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (isDuplicate(error))
      throw refuse(`There is a ${what} of this name already.`, {
        'fields.name': 'This name is taken.',
      });
    throw error;
  }
}

/** A named entry is made, or written over when nobody else wrote since it was read. */
export const saveNamed = (
  what: string,
  id: string | null,
  create: (id: string) => Promise<string>,
  writeOver: (id: string) => Promise<boolean>,
): Promise<{ id: string; slug?: string }> =>
  nameFree(what, async () => {
    if (id === null) {
      const made = newId();
      return { id: made, slug: await create(made) };
    }
    if (!(await writeOver(id))) throw conflict(STALE);
    return { id };
  });
