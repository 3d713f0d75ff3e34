import { grid as points } from '../blends';
import { blend, pouring } from './blend';
import { defineDesign } from './design';
import { corners, counted } from './parts';

export const grid = defineDesign({
  kind: 'grid',
  name: 'Grid of four corners',
  asks: 'What lies between {}?',
  of: ({ corners }) => corners,
  varies: 'the blend',
  parts: { corners: corners(4), rows: counted('Rows', 2, 10), columns: counted('Columns', 2, 10) },
  first: ({ recipe }) => ({
    corners: [recipe(0), recipe(1), recipe(2), recipe(3)],
    rows: 5,
    columns: 7,
  }),
  asked: ({ corners }) => [...corners, 'body'],
  tiles: ({ corners, rows, columns }, bench) => blend(points(rows, columns), corners, bench),
  mixing: ({ corners }, tiles) => pouring(corners, tiles),
});
