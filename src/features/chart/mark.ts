/** By what the chart that somebody was sent can be told from the one they would be sent now. */
import { createHash } from 'node:crypto';
import type { Source } from '@/data/database';
import { keepRead } from '@/data/kept';
import type { Person } from '@/data/people';
import { readStudio } from '@/data/studio';
import { chartData, viewOf, type ChartView } from './queries';

const hash = (of: unknown): string =>
  createHash('sha256').update(JSON.stringify(of)).digest('base64url');

/** What a chart shows, as a short word. */
const shown = keepRead({
  most: 200,
  key: (view: ChartView) => JSON.stringify(view),
  read: async (src, view) => {
    const [{ board, ...data }, studio] = await Promise.all([chartData(src, view), readStudio(src)]);
    return hash([data, board && { ...board, positions: [...board.positions] }, studio]);
  },
});

/** Changes whenever anything of the chart does that this person sees: what it shows, or who they are. */
export async function chartMark(
  src: Source,
  person: Person,
  query: URLSearchParams,
): Promise<string> {
  return hash([person, query.toString(), await shown(src, viewOf(query))]);
}
