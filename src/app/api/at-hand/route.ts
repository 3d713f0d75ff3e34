import { atHand } from '@/features/device/server';
import { database } from '@/platform/database';
import { answering } from '@/platform/respond';
import { requireSignedIn } from '@/platform/viewer';

/** What whoever is signed in should have on their device before it is needed. */
export function GET(): Promise<Response> {
  return answering('at-hand', async () => atHand(database(), await requireSignedIn()));
}
