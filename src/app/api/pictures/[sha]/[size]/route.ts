import { pictureStore, readPicture, SIZES, type Size } from '@/platform/objects';
import { problemOf } from '@/platform/operation';
import { respond } from '@/platform/respond';
import { requireViewer } from '@/platform/viewer';

export async function GET(
  http: Request,
  { params }: { params: Promise<{ sha: string; size: string }> },
): Promise<Response> {
  const { sha, size } = await params;
  try {
    await requireViewer(new URL(http.url).searchParams.get('share'));
    const bytes =
      /^[0-9a-f]{64}$/.test(sha) && size in SIZES
        ? await readPicture(pictureStore(), sha, size as Size)
        : null;
    if (bytes === null)
      return respond({
        ok: false,
        problem: { code: 'not-found', message: 'There is no such picture.' },
      });
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
