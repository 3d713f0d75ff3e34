import { zoomData } from '@/features/chart/server';
import { database } from '@/platform/database';
import { answering } from '@/platform/respond';
import { requireViewer } from '@/platform/viewer';

export function GET(http: Request): Promise<Response> {
  return answering('zoom', async () => {
    const query = new URL(http.url).searchParams;
    await requireViewer(query.get('share'));
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
    );
  });
}
