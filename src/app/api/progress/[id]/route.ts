import { progressOf } from '@/platform/progress';
import { answering } from '@/platform/respond';
import { requireSignedIn } from '@/platform/viewer';

/** How far long work has come, for whoever waits for it. */
export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  return answering('progress', async () => {
    await requireSignedIn();
    return progressOf(id);
  });
}
