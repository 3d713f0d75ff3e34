import {
  addVersion,
  createBody,
  createCoating,
  createKiln,
  setArchived,
  updateEntry,
} from '@/data/catalogue';
import { isDuplicate } from '@/data/database';
import { newId } from '@/data/ids';
import { operation } from '@/platform/operation';
import { conflict, refuse } from '@/platform/refusal';
import { permit } from '../people';
import {
  addVersionSchema,
  archiveSchema,
  saveBodySchema,
  saveCoatingSchema,
  saveKilnSchema,
} from './schema';

const STALE =
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

export const saveBody = operation({
  name: 'store.save-body',
  permit: permit('keep records'),
  input: saveBodySchema,
  run: ({ trx }, { id, revision, fields }) =>
    nameFree('body', async () => {
      if (id === null) {
        const made = newId();
        return { id: made, slug: await createBody(trx, made, fields) };
      }
      if (!(await updateEntry(trx, 'body', id, fields, revision))) throw conflict(STALE);
      return { id };
    }),
});

export const saveCoating = operation({
  name: 'store.save-coating',
  permit: permit('keep records'),
  input: saveCoatingSchema,
  run: ({ trx, now }, { id, revision, fields }) =>
    nameFree('coating', async () => {
      if (id === null) {
        const made = newId();
        return { id: made, slug: await createCoating(trx, made, fields, now) };
      }
      if (!(await updateEntry(trx, 'coating', id, fields, revision))) throw conflict(STALE);
      return { id };
    }),
});

export const saveKiln = operation({
  name: 'store.save-kiln',
  permit: permit('keep records'),
  input: saveKilnSchema,
  run: ({ trx }, { id, revision, fields }) =>
    nameFree('kiln', async () => {
      if (id === null) {
        const made = newId();
        return { id: made, slug: await createKiln(trx, made, fields) };
      }
      if (!(await updateEntry(trx, 'kiln', id, fields, revision))) throw conflict(STALE);
      return { id };
    }),
});

export const newVersion = operation({
  name: 'store.add-version',
  permit: permit('keep records'),
  input: addVersionSchema,
  run: async ({ trx, now }, { coatingId, notes }) => ({
    no: await addVersion(trx, coatingId, notes, now),
  }),
});

export const archive = operation({
  name: 'store.archive',
  permit: permit('keep records'),
  input: archiveSchema,
  run: ({ trx, now }, { table, id, archived }) =>
    setArchived(trx, table, id, archived ? now : null),
});
