/** A zoom as it is sent: made once for all who may see the same of it, until something of it changes. */
import type { Source } from '@/data/database';
import { maySeePiece } from '@/features/people';
import { writtenOnce, type Sent } from '@/platform/sent';
import type { Viewer } from '@/platform/who';
import { boardOfView } from './queries';
import { elsewhereThan, zoomFor, zoomHere, type AnyZoom, type Eyes } from './zoom';

const once = writtenOnce<AnyZoom>();

/** What is behind the position that an address names; through a share link, of the board that it shows. */
export async function zoomAnswer(
  src: Source,
  { person, link }: Viewer,
  query: URLSearchParams,
): Promise<Sent> {
  const get = (name: string): string => query.get(name) ?? '';
  const cell = query.get('cell');
  const of = cell === null ? { base: get('base'), over: query.get('over') } : { cell };
  const board =
    link === null
      ? {
          body: get('body'),
          cone: get('cone'),
          atmosphere: get('atmosphere'),
          slips: get('ground'),
        }
      : await boardOfView(src, link.view);
  const [zoom, elsewhere] = await Promise.all([
    zoomHere(src, board, of),
    link === null ? elsewhereThan(src, board, of) : [],
  ]);
  const eyes: Eyes = person === null ? null : (piece) => maySeePiece(person, piece);
  // Whoever may see the same pieces is sent the same.
  const same = eyes === null ? 'link' : zoom.pieces.map((piece) => Number(eyes(piece))).join('');
  return once(zoom, `${same} ${JSON.stringify(elsewhere)}`, () => ({
    ...zoomFor(zoom, eyes),
    elsewhere,
  }));
}
