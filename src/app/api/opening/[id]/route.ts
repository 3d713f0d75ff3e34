import { openingMark } from '@/data/observations';
import { permit } from '@/features/people';
import { database } from '@/platform/database';
import { answering } from '@/platform/respond';
import { refuse } from '@/platform/refusal';
import { requireSignedIn } from '@/platform/viewer';

/** Whether something was said of a load since: a phone beside another asks every few seconds. */
export function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  return answering('opening', async () => {
    const { id } = await params;
    const person = await requireSignedIn();
    if (!permit('write of own pieces')(person)) throw refuse('You cannot see this load.');
    return { mark: /^[0-9a-f-]{36}$/.test(id) ? await openingMark(database(), id) : '' };
  });
}
