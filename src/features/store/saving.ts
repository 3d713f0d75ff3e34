import { isDuplicate } from '@/data/database';
import { refuse } from '@/platform/refusal';

export const STALE =
  'Somebody else saved this meanwhile. Your words are still here: open it again in another tab to compare.';

/** A name that is taken is said at the name. */
export async function nameFree<T>(what: string, work: () => Promise<T>): Promise<T> {
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
