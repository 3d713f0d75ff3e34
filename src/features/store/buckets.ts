import { addEntry, createBucket, emptyBucket, listBuckets, removeEntry, updateBucket } from '@/data/buckets';
import { newId } from '@/data/ids';
import { takeMaterials } from '@/data/materials';
import { operation } from '@/platform/operation';
import { conflict, notFound, refuse } from '@/platform/refusal';
import { permit } from '../people';
import * as contracts from './contracts';
import { STALE } from '@/platform/saving';
import { holdVersion } from '@/data/coatings';

/** A weighed-out batch becomes a bucket, and its materials leave the shelf. */
export const mix = operation({
  contract: contracts.mix,
  permit: permit('keep records'),
  run: async ({ trx, person, now }, { versionId, fields, weighed }) => {
    if ((await holdVersion(trx, versionId)) === null) throw notFound('This version');
    const id = newId();
    await createBucket(
      trx,
      {
        id,
        versionId,
        ...fields,
        weighed: weighed?.map(({ name, grams }) => ({ name, grams })) ?? null,
      },
      person.id,
      now,
    );
    await takeMaterials(
      trx,
      (weighed ?? []).map(({ materialId, grams }) => ({ id: materialId, grams })),
    );
    return { id };
  },
});

export const saveBucket = operation({
  contract: contracts.saveBucket,
  permit: permit('keep records'),
  run: async ({ trx }, { id, revision, fields }) => {
    if (!(await updateBucket(trx, id, fields, revision))) throw conflict(STALE);
  },
});

export const logBucket = operation({
  contract: contracts.logBucket,
  permit: permit('keep records'),
  run: async ({ trx, person, now }, { bucketId, entryId, ...entry }) => {
    const [bucket] = await listBuckets(trx, { id: bucketId });
    if (bucket === undefined) throw notFound('This bucket');
    if (bucket.emptiedAt !== null) throw refuse(`${bucket.name} was emptied. Take it into use again first.`);
    await addEntry(trx, bucketId, { id: entryId, ...entry }, person.id, now);
  },
});

export const dropBucketEntry = operation({
  contract: contracts.dropEntry,
  permit: permit('keep records'),
  run: ({ trx }, { entryId }) => removeEntry(trx, entryId),
});

export const empty = operation({
  contract: contracts.emptyBucket,
  permit: permit('keep records'),
  run: ({ trx, now }, { id, emptied }) => emptyBucket(trx, id, emptied ? now : null),
});
