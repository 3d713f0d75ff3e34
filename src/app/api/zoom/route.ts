import { boardOfView, zoomData } from '@/features/chart/server';
import { maySeePiece } from '@/features/people';
import { database } from '@/platform/database';
import { answering } from '@/platform/respond';
import { currentViewer } from '@/platform/viewer';

/** What is behind a position of the board; through a share link, of the board that it shows. */
export function GET(http: Request): Promise<Response> {
  return answering('zoom', async () => {
    const query = new URL(http.url).searchParams;
    const { person, link } = await currentViewer(query.get('share'));
    const get = (name: string): string => query.get(name) ?? '';
    const cell = query.get('cell');
    const of = cell === null ? { base: get('base'), over: query.get('over') } : { cell };
    if (link !== null) {
      const zoom = await zoomData(database(), await boardOfView(database(), link.view), of);
      return { ...zoom, elsewhere: [] };
    }
    const board = {
      body: get('body'),
      cone: get('cone'),
      atmosphere: get('atmosphere'),
      slips: get('ground'),
    };
    const zoom = await zoomData(database(), board, of, (piece) => maySeePiece(person, piece));
    // Of ware that its owner does not show, only what stands for the cell.
    const standing = new Set(zoom.cells.map(({ photo }) => photo));
    return {
      ...zoom,
      pieces: zoom.pieces.map((piece) =>
        piece.opens
          ? piece
          : { ...piece, photos: piece.photos.filter(({ sha }) => standing.has(sha)) },
      ),
    };
  });
}
