import {
  addVersion,
  createBody,
  createCoating,
  createKiln,
  setArchived,
  updateEntry,
} from '@/data/catalogue';
import { newId } from '@/data/ids';
import { operation } from '@/platform/operation';
import { conflict } from '@/platform/refusal';
import { permit } from '../people';
import { nameFree, STALE } from './saving';
import {
  addVersionSchema,
  archiveSchema,
  saveBodySchema,
  saveCoatingSchema,
  saveKilnSchema,
} from './schema';

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
  run: async ({ trx, now }, { coatingId, notes }) => addVersion(trx, coatingId, notes, now),
});

export const archive = operation({
  name: 'store.archive',
  permit: permit('keep records'),
  input: archiveSchema,
  run: ({ trx, now }, { table, id, archived }) =>
    setArchived(trx, table, id, archived ? now : null),
});
