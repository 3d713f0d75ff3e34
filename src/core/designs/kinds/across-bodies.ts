import { defineDesign, over } from './design';
import { coatings } from './parts';

export const acrossBodies = defineDesign({
  kind: 'across bodies',
  name: 'Across bodies',
  asks: 'What does the clay do to {}?',
  of: ({ stack }) => stack,
  varies: 'body',
  parts: { stack: coatings('Coatings, first on first', 1, 6) },
  first: ({ coating }) => ({ stack: [coating(0)] }),
  asked: () => ['body'],
  tiles: ({ stack }, { layer, draft }) => [
    draft(
      0,
      over(stack),
      { stack: stack.join(' + ') },
      stack.map((coat) => layer(coat)),
    ),
  ],
  acrossBodies: true,
});
