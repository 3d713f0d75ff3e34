import { z } from 'zod';
import { pictureToFrame } from '@/features/frames/server';
import { mayTouchPiece, permit } from '@/features/people';
import { listPieces } from '@/data/pieces';
import { database } from '@/platform/database';
import { answering } from '@/platform/respond';
import { found, refuse } from '@/platform/refusal';
import { requireSignedIn } from '@/platform/viewer';

const asked = z.object({ piece: z.uuid(), sha: z.string().regex(/^[0-9a-f]{64}$/) });

/** What framing a picture needs, for who holds the piece elsewhere than on its page. */
export function GET(http: Request): Promise<Response> {
  return answering('frame', async () => {
    const person = await requireSignedIn();
    if (!permit('write of own pieces')(person)) throw refuse('You cannot frame pictures.');
    const query = asked.safeParse(Object.fromEntries(new URL(http.url).searchParams));
    if (!query.success) throw refuse('This picture cannot be told from its address.');
    const { piece: pieceId, sha } = query.data;
    const [piece] = await listPieces(database(), { ids: [pieceId] });
    if (!mayTouchPiece(person, found(piece, 'This piece').ownerId))
      throw refuse('You can frame pictures of your own pieces only.');
    return found(await pictureToFrame(database(), { pieceId, sha }), 'This picture');
  });
}
