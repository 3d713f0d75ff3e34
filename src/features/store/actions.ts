import { setArchived, updateEntry } from '@/data/entries';
import { operation } from '@/platform/operation';
import { permit } from '../people';
import * as contracts from './contracts';
import { saveNamed } from '@/platform/saving';
import { createBody } from '@/data/bodies';
import { addVersion, createCoating } from '@/data/coatings';

export const saveBody = operation({
  contract: contracts.saveBody,
  permit: permit('keep records'),
  run: ({ trx }, { id, revision, fields }) =>
    saveNamed(
      'body',
      id,
      (made) => createBody(trx, made, fields),
      (own) => updateEntry(trx, 'body', own, fields, revision),
    ),
});

export const saveCoating = operation({
  contract: contracts.saveCoating,
  permit: permit('keep records'),
  run: ({ trx, now }, { id, revision, fields }) =>
    saveNamed(
      'coating',
      id,
      (made) => createCoating(trx, made, fields, now),
      (own) => updateEntry(trx, 'coating', own, fields, revision),
    ),
});

export const newVersion = operation({
  contract: contracts.addVersion,
  permit: permit('keep records'),
  run: async ({ trx, now }, { coatingId, notes }) => addVersion(trx, coatingId, notes, now),
});

export const archive = operation({
  contract: contracts.archive,
  permit: permit('keep records'),
  run: ({ trx, now }, { table, id, archived }) => setArchived(trx, table, id, archived ? now : null),
});
