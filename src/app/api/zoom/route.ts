import { chartData, zoomData } from '@/features/chart/server';
import { database } from '@/platform/database';
import { notFound } from '@/platform/refusal';
import { answering } from '@/platform/respond';
import { requireViewer } from '@/platform/viewer';

export function GET(http: Request): Promise<Response> {
  return answering('zoom', async () => {
    const query = new URL(http.url).searchParams;
    await requireViewer(query.get('share'));
    const get = (name: string): string => query.get(name) ?? '';
    const { chosen } = await chartData(database(), {
      body: get('body'),
      cone: get('cone'),
      atmosphere: get('atmosphere'),
      ground: get('ground'),
    });
    if (chosen === null) throw notFound('This body');
    return zoomData(database(), chosen, get('base'), query.get('over'));
  });
}
