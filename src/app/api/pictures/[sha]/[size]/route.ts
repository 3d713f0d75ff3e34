import { maySeePicture } from '@/features/media/server';
import { database } from '@/platform/database';
import { pictureStore, readPicture, SIZES, type Size } from '@/platform/objects';
import { problemOf } from '@/platform/operation';
import { Refusal } from '@/platform/refusal';
import { respond } from '@/platform/respond';
import { currentViewer } from '@/platform/viewer';

const noSuch = new Refusal({ code: 'not-found', message: 'There is no such picture.' });

export async function GET(
  http: Request,
  { params }: { params: Promise<{ sha: string; size: string }> },
): Promise<Response> {
  try {
    const { sha, size } = await params;
    const viewer = await currentViewer(new URL(http.url).searchParams.get('share'));
    if (!/^[0-9a-f]{64}$/.test(sha) || !Object.hasOwn(SIZES, size)) throw noSuch;
    // One that may not be seen is answered like one that is not there.
    if (!(await maySeePicture(database(), viewer, sha))) throw noSuch;
    const bytes = await readPicture(pictureStore(), sha, size as Size);
    if (bytes === null) throw noSuch;
    return new Response(new Uint8Array(bytes), {
      headers: {
        'content-type': 'image/webp',
        'cache-control': 'private, max-age=31536000, immutable',
      },
    });
  } catch (error) {
    return respond({ ok: false, problem: problemOf(error, 'picture') });
  }
}
