/** Kept pictures, straight from where they lie, to whoever may see them. */
import { join } from 'node:path';
import type { Database } from '@/data/database';
import { pictureFile, SIZES, type Size } from '@/platform/objects';
import type { Viewer } from '@/platform/who';
import { maySeePicture } from './who-sees';

export const PICTURE_PATH = /^\/api\/pictures\/([^/]*)\/([^/]*)$/;

/**
 * The file of a picture for whoever looks; null when there is none, also when there is one that they may
 * not see: from outside the two cannot be told apart.
 */
export async function pictureFor(
  db: Database,
  root: string,
  viewer: Viewer,
  { sha, size }: { sha: string; size: string },
): Promise<{ path: string; mark: string } | null> {
  if (!/^[0-9a-f]{64}$/.test(sha) || !Object.hasOwn(SIZES, size)) return null;
  if (!(await maySeePicture(db, viewer, sha))) return null;
  const name = pictureFile(sha, size as Size);
  return { path: join(root, sha.slice(0, 2), name), mark: `"${sha.slice(0, 20)}-${size}"` };
}
