import { ALL, defineDesign, over } from './design';
import { coatings, counted, oneOf } from './parts';

/**
 * Coats that build up along one tile: the first covers all, each next one stops sooner. Most at the rim
 * unless somebody wants it otherwise: what is thick at the foot runs onto the shelf.
 */
export const coatsOnOneTile = defineDesign({
  kind: 'coats on one tile',
  name: 'Coats on one tile',
  asks: 'How does {} build up?',
  of: ({ coatings }) => coatings,
  varies: 'coats',
  ownCoats: true,
  parts: {
    coatings: coatings('Coatings, first on first', 1, 4),
    most: counted('Coats of each', 2, 6),
    thickAt: oneOf('Most coats at', [
      { value: 'rim', label: 'the rim' },
      { value: 'foot', label: 'the foot (runs onto the shelf: a catch beneath)' },
    ]),
  },
  first: ({ coating }) => ({ coatings: [coating(0)], most: 4, thickAt: 'rim' }),
  asked: () => ['coats', 'body'],
  tiles: ({ coatings, most, thickAt }, { layer, draft }) => {
    const all = coatings.flatMap((coating) => Array.from({ length: most }, () => coating));
    return [
      draft(
        0,
        coatings.length === 1 ? `1 to ${most} coats` : `${over(coatings)}, up to ${most} coats each`,
        { coating: coatings.join(' + '), coats: `1 to ${all.length}` },
        all.map((coating, i) => {
          const bare = i / all.length;
          const stretch = thickAt === 'rim' ? { from: bare, to: 1 } : { from: 0, to: 1 - bare };
          return layer(coating, { coats: 1, stretch: i === 0 ? ALL : stretch });
        }),
      ),
    ];
  },
});
