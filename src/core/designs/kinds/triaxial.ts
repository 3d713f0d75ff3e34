import { triaxial as points } from '../blends';
import { blend, pouring } from './blend';
import { defineDesign } from './design';
import { corners, counted } from './parts';

export const triaxial = defineDesign({
  kind: 'triaxial',
  name: 'Triaxial',
  asks: 'What lies between {}?',
  of: ({ corners }) => corners,
  varies: 'the blend',
  parts: { corners: corners(3), steps: counted('Steps a side', 2, 10) },
  first: ({ recipe }) => ({ corners: [recipe(0), recipe(1), recipe(2)], steps: 4 }),
  asked: ({ corners }) => [...corners, 'body'],
  tiles: ({ corners, steps }, bench) => blend(points(steps), corners, bench),
  mixing: ({ corners }, tiles) => pouring(corners, tiles),
});
