import { defineDesign, unique } from './design';
import { coating, steps } from './parts';

export const seconds = defineDesign({
  kind: 'seconds',
  name: 'Seconds',
  asks: 'How long may {} be dipped?',
  of: ({ coating }) => [coating],
  varies: 'seconds',
  parts: {
    coating: coating(),
    seconds: steps(
      'Seconds in the bucket',
      { min: 0, max: 600, tooMuch: 'Longer than ten minutes? Check.' },
      2,
    ),
  },
  first: ({ coating }) => ({ coating: coating(0), seconds: [1, 2, 4, 8] }),
  asked: () => ['seconds', 'body'],
  tiles: ({ coating, seconds }, { layer, draft }) =>
    unique(seconds).map((one, i) =>
      draft(i, `${one} s`, { coating, seconds: String(one) }, [layer(coating, { seconds: one })]),
    ),
});
