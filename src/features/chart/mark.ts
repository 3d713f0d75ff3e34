/** By what the chart that somebody was sent can be told from the one they would be sent now. */
import { createHash } from 'node:crypto';
import { boardChoices, boardChanged } from '@/data/board';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';
import type { Source } from '@/data/database';
import type { Person } from '@/data/people';
import { readStudio } from '@/data/studio';

/**
 * Changes whenever anything of the chart does that this person sees: a cell of its board (of any board,
 * while the address leaves one open), what there is to choose from, the studio's settings, who they are.
 */
export async function chartMark(
  src: Source,
  person: Person,
  query: URLSearchParams,
): Promise<string> {
  const get = (name: string): string | undefined => query.get(name) ?? undefined;
  const [changed, bodies, coatings, choices, studio] = await Promise.all([
    boardChanged(src, { body: get('body'), cone: get('cone'), atmosphere: get('atmosphere') }),
    listBodies(src),
    listCoatings(src),
    boardChoices(src),
    readStudio(src),
  ]);
  return createHash('sha256')
    .update(JSON.stringify([person, query.toString(), changed, bodies, coatings, choices, studio]))
    .digest('base64url');
}
