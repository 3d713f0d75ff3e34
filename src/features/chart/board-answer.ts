/** A board as it is sent: made once for all who look at it, until something of it changes. */
import type { BoardCell } from '@/data/board';
import { coatNames } from '@/data/coatings';
import type { Source } from '@/data/database';
import { keepRead } from '@/data/kept';
import { pictureUrl } from '@/ui/picture-url';
import { writtenOnce, type Sent } from '@/platform/sent';
import type { Viewer } from '@/platform/who';
import { positionKey, type AxisCoating, type Position } from './board';
import { CORNER } from './corner';
import { chartData, type ChartData } from './queries';
import { boardUrl, viewOf, type ChartView } from './view';

/** What is shown of a board; null while there is nothing to show. */
export type BoardSent = {
  bodies: { slug: string; name: string }[];
  names: Record<string, string>;
  chosen: { body: string; bodyName: string; cone: string; atmosphere: string; slips: string };
  cones: string[];
  atmospheres: string[];
  grounds: string[];
  /** Is what was seen after a refire shown? */
  refires: boolean;
  axis: AxisCoating[];
  positions: Position[];
  deeper: BoardCell[];
  /** Only the corner of it that is in sight first: the rest is on its way. */
  corner: boolean;
} | null;

export function boardSent(data: ChartData): BoardSent {
  if (data.chosen === null || data.board === null) return null;
  const { body, cone, atmosphere, slips } = data.chosen;
  const { cones, atmospheres, grounds, refires } = data;
  return {
    bodies: data.bodies
      .filter((one) => !one.archived || one.id === body.id)
      .map(({ slug, name }) => ({ slug, name })),
    names: coatNames(data.coatings),
    chosen: { body: body.slug, bodyName: body.name, cone, atmosphere, slips },
    cones,
    atmospheres,
    grounds,
    refires,
    axis: data.board.axis,
    positions: [...data.board.positions.values()],
    deeper: data.board.deeper,
    corner: false,
  };
}

/**
 * The corner of a board that is in sight first, for the page that it arrives with: the pictures are painted
 * before the page's own script runs. The board itself is read beside it, and stands in its place at once.
 */
export const boardCorner = keepRead({
  most: 200,
  key: (view: ChartView) => JSON.stringify(view),
  read: async (src, view): Promise<BoardSent> => {
    const data = await chartData(src, view);
    const board = boardSent(data);
    if (board === null) return null;
    const place = new Map(board.axis.map(({ slug }, i) => [slug, i]));
    const inSight = ({ base, over }: Position): boolean =>
      (place.get(base) ?? 0) < CORNER.rows && (over === null || (place.get(over) ?? 0) + 1 < CORNER.columns);
    return { ...board, positions: board.positions.filter(inSight), deeper: [], corner: true };
  },
});

const once = writtenOnce<ChartData>();

/** The board that an address names; through a share link the one that it shows. */
export async function boardAnswer(src: Source, { link }: Viewer, query: URLSearchParams): Promise<Sent> {
  const data = await chartData(src, viewOf(link === null ? query : new URLSearchParams(link.view)));
  return once(data, '', () => boardSent(data));
}

/** So many pictures are in sight at first. */
const FIRST = 8;

/** What a page with this board will ask for at once, as a header that lets it begin before the page does. */
export const boardAhead = keepRead({
  most: 200,
  key: (view: ChartView) => JSON.stringify(view),
  read: async (src, view) => {
    const { board } = await chartData(src, view);
    const shown = (board?.axis ?? []).flatMap((row) =>
      [null, ...board!.axis].flatMap(
        (over) => board!.positions.get(positionKey(row.slug, over?.slug ?? null))?.main.photo ?? [],
      ),
    );
    return [
      `<${boardUrl(view, null)}>; rel=preload; as=fetch; crossorigin`,
      ...shown.slice(0, FIRST).map((sha) => `<${pictureUrl(sha, 'small')}>; rel=preload; as=image`),
    ].join(', ');
  },
});
