import { notFound } from 'next/navigation';
import { may, permit } from '@/features/people';
import { enter } from '@/platform/access';
import { database } from '@/platform/database';
import { bucketOf } from './queries';

/** What the pages of a bucket begin with: who may see it, the bucket, and what it was mixed from. */
export async function bucketRoom(params: Promise<{ id: string }>) {
  const { person, studio } = await enter(permit('read of coatings'));
  const { id } = await params;
  const db = database();
  const found = await bucketOf(db, id);
  if (found === null) notFound();
  return { person, studio, db, id, keeps: may(person, 'keep records'), ...found };
}
