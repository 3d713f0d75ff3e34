/** What the address of the chart says. */

/** Everything may be missing. */
export type ChartView = {
  body?: string;
  cone?: string;
  atmosphere?: string;
  ground?: string;
  /** 'no' leaves out what was seen after a refire. */
  refires?: string;
  /** The pair that is open, "base/over": without a body it opens where it is best known. */
  at?: string;
};

const ASKED = ['body', 'cone', 'atmosphere', 'ground', 'refires'] as const;

/** What an address says of which board is shown, and nothing else that stands in it. */
export function viewOf(query: Pick<URLSearchParams, 'get' | 'has'>): ChartView {
  // With a body, what is open chooses no board.
  const names = query.has('body') ? ASKED : ([...ASKED, 'at'] as const);
  return Object.fromEntries(names.flatMap((name) => (query.has(name) ? [[name, query.get(name)!]] : [])));
}

/** Where the board of a view is read; through a share link its own one. */
export const boardUrl = (view: ChartView, share: string | null): string =>
  `/api/board?${new URLSearchParams(share === null ? view : { share }).toString()}`;
