import type { EntryKind } from '@/core/slurry';
import type { Row, Source } from './database';
import { groupRows, writeOver } from './rows';

/** How a bucket is meant to be used. */
export type Advice = {
  dips: number | null;
  seconds: number | null;
  dryingSign: string;
  restirMinutes: number | null;
  sg: number | null;
};

export type BucketFields = {
  name: string;
  dryG: number | null;
  shape: 'round' | 'square';
  widthMm: number | null;
  depthMm: number | null;
  litres: number | null;
  advice: Advice;
};

export type Bucket = BucketFields & {
  id: string;
  versionId: string;
  versionNo: number;
  coatingName: string;
  coatingSlug: string;
  cautions: string;
  /** What was weighed in, as ticked off. */
  weighed: { name: string; grams: number }[] | null;
  mixedBy: string;
  mixedAt: Date;
  emptiedAt: Date | null;
  revision: number;
};

export type BucketEntryFields = {
  kind: EntryKind;
  sg: number | null;
  seconds: number | null;
  temperatureC: number | null;
  litres: number | null;
  grams: number | null;
  note: string;
};
export type BucketEntry = BucketEntryFields & { id: string; by: string; at: Date };

const bucket = (row: Row): Bucket => ({
  id: row.id,
  versionId: row.coating_version_id,
  versionNo: row.version_no,
  coatingName: row.coating_name,
  coatingSlug: row.coating_slug,
  cautions: row.cautions,
  name: row.name,
  dryG: row.dry_g,
  shape: row.shape,
  widthMm: row.width_mm,
  depthMm: row.depth_mm,
  litres: row.litres,
  advice: row.advice,
  weighed: row.weighed,
  mixedBy: row.mixed_by_name,
  mixedAt: row.mixed_at,
  emptiedAt: row.emptied_at,
  revision: row.revision,
});

const columns = (fields: BucketFields): Record<string, unknown> => ({
  name: fields.name,
  dry_g: fields.dryG,
  shape: fields.shape,
  width_mm: fields.widthMm,
  depth_mm: fields.depthMm,
  litres: fields.litres,
  advice: JSON.stringify(fields.advice),
});

/** Buckets in use, newest mixed first; also emptied ones when asked for. */
export async function listBuckets(
  src: Source,
  filter: { id?: string; coatingSlug?: string; emptied?: boolean } = {},
): Promise<Bucket[]> {
  const query = src('bucket')
    .join('coating_version', 'coating_version.id', 'bucket.coating_version_id')
    .join('coating', 'coating.id', 'coating_version.coating_id')
    .join('person', 'person.id', 'bucket.mixed_by')
    .orderBy('bucket.mixed_at', 'desc')
    .select(
      'bucket.*',
      'coating_version.no as version_no',
      'coating.name as coating_name',
      'coating.slug as coating_slug',
      'coating.cautions',
      'person.name as mixed_by_name',
    );
  if (filter.id !== undefined) query.where('bucket.id', filter.id);
  else if (!filter.emptied) query.whereNull('bucket.emptied_at');
  if (filter.coatingSlug !== undefined) query.where('coating.slug', filter.coatingSlug);
  return (await query).map(bucket);
}

export async function createBucket(
  src: Source,
  one: BucketFields & { id: string; versionId: string; weighed: Bucket['weighed'] },
  by: string,
  now: Date,
): Promise<void> {
  await src('bucket').insert({
    id: one.id,
    coating_version_id: one.versionId,
    ...columns(one),
    weighed: one.weighed === null ? null : JSON.stringify(one.weighed),
    mixed_by: by,
    mixed_at: now,
  });
}

export async function updateBucket(
  src: Source,
  id: string,
  fields: BucketFields,
  revision: number,
): Promise<boolean> {
  return writeOver(src, 'bucket', { id, revision }, columns(fields));
}

export async function emptyBucket(src: Source, id: string, at: Date | null): Promise<void> {
  await src('bucket').where({ id }).update({ emptied_at: at });
}

/** What was done to a bucket, oldest first. */
export async function entriesOf(
  src: Source,
  bucketIds: readonly string[],
): Promise<Map<string, BucketEntry[]>> {
  const rows: Row[] = await src('bucket_entry')
    .join('person', 'person.id', 'bucket_entry.by_person')
    .whereIn('bucket_id', bucketIds)
    .orderBy(['bucket_entry.at', 'bucket_entry.id'])
    .select('bucket_entry.*', 'person.name as by_name');
  return groupRows(
    rows,
    (row) => ({
      id: row.id,
      kind: row.kind,
      sg: row.sg,
      seconds: row.seconds,
      temperatureC: row.temperature_c,
      litres: row.litres,
      grams: row.grams,
      note: row.note,
      by: row.by_name,
      at: row.at,
    }),
    (row) => row.bucket_id,
  );
}

/** Writes an entry down; a volume that was given becomes the bucket's. */
export async function addEntry(
  src: Source,
  bucketId: string,
  entry: BucketEntryFields & { id: string },
  by: string,
  at: Date,
): Promise<void> {
  await src('bucket_entry').insert({
    id: entry.id,
    bucket_id: bucketId,
    kind: entry.kind,
    sg: entry.sg,
    seconds: entry.seconds,
    temperature_c: entry.temperatureC,
    litres: entry.litres,
    grams: entry.grams,
    note: entry.note,
    by_person: by,
    at,
  });
  if (entry.litres !== null) await src('bucket').where({ id: bucketId }).update({ litres: entry.litres });
}

export async function removeEntry(src: Source, id: string): Promise<void> {
  await src('bucket_entry').where({ id }).delete();
}

/** Buckets in use that have an SG to keep to and one measured last. */
export async function lastSgOfBuckets(
  src: Source,
): Promise<{ id: string; name: string; sg: number; wanted: number }[]> {
  const rows: Row[] = await src('bucket')
    .whereNull('emptied_at')
    .orderBy('mixed_at', 'desc')
    .select(
      'id',
      'name',
      'advice',
      src.raw(
        `(SELECT sg FROM bucket_entry WHERE bucket_id = bucket.id AND sg IS NOT NULL
          ORDER BY at DESC, id DESC LIMIT 1) AS sg`,
      ),
    );
  return rows.flatMap(({ id, name, advice, sg }) => {
    const wanted = (advice as Advice).sg;
    return sg === null || wanted === null ? [] : [{ id, name, sg, wanted }];
  });
}
