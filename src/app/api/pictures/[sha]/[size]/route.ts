import { isSeenOnBoard, standsOnChart, whatPictureShows } from '@/data/pictures-seen';
import { boardOfView } from '@/features/chart/server';
import { may, maySeePiece } from '@/features/people';
import { database } from '@/platform/database';
import { pictureStore, readPicture, SIZES, type Size } from '@/platform/objects';
import { problemOf } from '@/platform/operation';
import { Refusal } from '@/platform/refusal';
import { respond } from '@/platform/respond';
import { currentViewer, type Viewer } from '@/platform/viewer';

/** May whoever looks see this picture? Through a link only what its board shows, never what was put away. */
async function maySee({ person, link }: Viewer, sha: string): Promise<boolean> {
  const db = database();
  if (link !== null) return isSeenOnBoard(db, sha, await boardOfView(db, link.view));
  const shows = await whatPictureShows(db, sha);
  if (may(person, 'see records')) return shows.length > 0;
  const standing = shows.filter(({ binned }) => !binned);
  return (
    standing.some(({ piece }) => piece === null || maySeePiece(person, piece)) ||
    (standing.length > 0 && (await standsOnChart(db, sha)))
  );
}

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
    if (!(await maySee(viewer, sha))) throw noSuch;
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
