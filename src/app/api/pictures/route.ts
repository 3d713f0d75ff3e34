import { z } from 'zod';
import { addPicture } from '@/features/opening/server';
import { database } from '@/platform/database';
import { MAX_BYTES } from '@/platform/pictures';
import { Refusal, refuse } from '@/platform/refusal';
import { answering } from '@/platform/respond';
import { currentPerson } from '@/platform/session';

const fields = z.object({
  pieceId: z.uuid(),
  firingId: z.union([z.uuid(), z.literal('').transform(() => null)]),
});

export function POST(http: Request): Promise<Response> {
  return answering('picture', async () => {
    const person = await currentPerson();
    if (person === null) {
      throw new Refusal({
        code: 'not-signed-in',
        message:
          'You are not signed in any more. Sign in again; the picture is still on this device.',
      });
    }
    if (Number(http.headers.get('content-length') ?? 0) > MAX_BYTES + 1_000_000) {
      throw refuse(`A picture may have at most ${MAX_BYTES / 1048576} MB. Send a smaller size.`);
    }
    const form = await http.formData().catch(() => null);
    const file = form?.get('file');
    const parsed = fields.safeParse({
      pieceId: form?.get('pieceId'),
      firingId: form?.get('firingId') ?? '',
    });
    if (!(file instanceof File) || !parsed.success)
      throw refuse('The picture did not arrive whole. Send it again.');
    return addPicture(
      database(),
      person,
      { bytes: Buffer.from(await file.arrayBuffer()), name: file.name, ...parsed.data },
      new Date(),
    );
  });
}
