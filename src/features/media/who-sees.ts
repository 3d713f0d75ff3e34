import type { Database } from '@/data/database';
import { isSeenOnBoard, standsOnChart, whatPictureShows } from '@/data/pictures-seen';
import type { Viewer } from '@/platform/who';
import { boardOfView } from '../chart/server';
import { may, maySeePiece } from '../people';

/**
 * May whoever looks see this picture? Through a link only what its board shows, never what was put
 * away; in the studio what belongs to a piece that one may see, or stands for a cell of the chart.
 */
export async function maySeePicture(
  db: Database,
  { person, link }: Pick<Viewer, 'person' | 'link'>,
  sha: string,
): Promise<boolean> {
  if (link !== null) return isSeenOnBoard(db, sha, await boardOfView(db, link.view));
  if (person === null) return false;
  const shows = await whatPictureShows(db, sha);
  if (may(person, 'see records')) return shows.length > 0;
  const standing = shows.filter(({ binned }) => !binned);
  return (
    standing.some(({ piece }) => piece === null || maySeePiece(person, piece)) ||
    (standing.length > 0 && (await standsOnChart(db, sha)))
  );
}
