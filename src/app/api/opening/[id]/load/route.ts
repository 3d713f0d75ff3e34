import { loadFor } from '@/features/opening/server';
import { database } from '@/platform/database';
import { answering } from '@/platform/respond';
import { requireSignedIn } from '@/platform/viewer';

/** A load as it is now, for a page that shows it already. */
export function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return answering('load', async () => loadFor(database(), await requireSignedIn(), (await params).id));
}
