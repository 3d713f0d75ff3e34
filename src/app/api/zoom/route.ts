import { zoomData } from '@/features/chart/server';
import { maySeePiece } from '@/features/people';
import { currentPerson } from '@/platform/session';
import { database } from '@/platform/database';
import { answering } from '@/platform/respond';
import { requireViewer } from '@/platform/viewer';

export function GET(http: Request): Promise<Response> {
  return answering('zoom', async () => {
    const query = new URL(http.url).searchParams;
    const share = query.get('share');
    await requireViewer(share);
    const person = share === null ? await currentPerson() : null;
    const get = (name: string): string => query.get(name) ?? '';
    const board = {
      body: get('body'),
      cone: get('cone'),
      atmosphere: get('atmosphere'),
      slips: get('ground'),
    };
    const cell = query.get('cell');
    return zoomData(
      database(),
      board,
      cell === null ? { base: get('base'), over: query.get('over') } : { cell },
      (piece) => person !== null && maySeePiece(person, piece),
    );
  });
}
