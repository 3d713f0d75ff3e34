import { ticksOf } from '@/data/ticks';
import { database } from '@/platform/database';
import { answering } from '@/platform/respond';
import { requireSignedIn } from '@/platform/viewer';

/** What whoever is signed in has ticked off on a sheet. */
export function GET(request: Request): Promise<Response> {
  return answering('ticks', async () => {
    const sheet = new URL(request.url).searchParams.get('sheet') ?? '';
    return ticksOf(database(), (await requireSignedIn()).id, sheet);
  });
}
