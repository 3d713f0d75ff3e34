import { count } from '../../units';
import { defineDesign, unique } from './design';
import { coating, coats as coatsPart } from './parts';

export const coats = defineDesign({
  kind: 'coats',
  name: 'Coats',
  asks: 'How many coats of {}?',
  of: ({ coating }) => [coating],
  varies: 'coats',
  ownCoats: true,
  parts: { coating: coating(), coats: coatsPart() },
  first: ({ coating }) => ({ coating: coating(0), coats: [1, 2, 3] }),
  asked: () => ['coats', 'body'],
  tiles: ({ coating, coats, controls }, { layer, draft }) =>
    unique(coats).map((one, i) =>
      draft(i, count(one, 'coat'), { coating, coats: String(one) }, [layer(coating, { coats: one })], {
        control: controls && one === 1,
      }),
    ),
});
