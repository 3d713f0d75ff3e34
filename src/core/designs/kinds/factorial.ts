import { count } from '../../units';
import { defineDesign, unique } from './design';
import { coatings, coats } from './parts';

export const factorial = defineDesign({
  kind: 'factorial',
  name: 'Glaze × body × dips',
  asks: 'What do clay and thickness do to {}?',
  of: ({ coatings }) => coatings,
  varies: 'coating, coats, body',
  ownCoats: true,
  parts: { coatings: coatings('Coatings'), coats: coats() },
  first: ({ coating }) => ({ coatings: [coating(0), coating(1)].filter(Boolean), coats: [1, 2] }),
  asked: () => ['coating', 'coats', 'body'],
  tiles: ({ coatings, coats }, { layer, draft }) =>
    coatings.flatMap((coating, row) =>
      unique(coats).map((one, column) =>
        draft(
          column,
          `${coating}, ${count(one, 'dip')}`,
          { coating, coats: String(one) },
          [layer(coating, { coats: one })],
          { row },
        ),
      ),
    ),
});
