import { lineBlend } from '../blends';
import { blend, pouring } from './blend';
import { defineDesign } from './design';
import { corners, counted } from './parts';

export const line = defineDesign({
  kind: 'line',
  name: 'Line blend',
  asks: 'What lies between {}?',
  of: ({ corners }) => corners,
  varies: 'the blend',
  parts: { corners: corners(2), points: counted('Steps', 3, 21) },
  first: ({ recipe }) => ({ corners: [recipe(0), recipe(1)], points: 5 }),
  asked: ({ corners }) => [...corners, 'body'],
  tiles: ({ corners, points }, bench) => blend(lineBlend(points), corners, bench),
  mixing: ({ corners }, tiles) => pouring(corners, tiles),
});
