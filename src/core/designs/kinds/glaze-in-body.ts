import { defineDesign, percent, unique } from './design';
import { percents, recipe } from './parts';

export const glazeInBody = defineDesign({
  kind: 'body and glaze',
  name: 'Glaze in the body',
  asks: 'When does the clay begin to melt with {} in it?',
  of: ({ glaze }) => [glaze],
  varies: 'share of glaze',
  parts: { glaze: recipe('Glaze'), percents: percents('Glaze in the clay, %') },
  first: ({ recipe }) => ({ glaze: recipe(0), percents: [0, 10, 20, 30, 40, 60] }),
  asked: () => ['share of glaze', 'body'],
  tiles: ({ glaze, percents }, { draft }) =>
    unique(percents).map((value, i) =>
      draft(i, `${percent(value)} ${glaze} in the clay`, { glaze, 'share of glaze': percent(value) }, [], {
        mix: { shares: { [glaze]: value / 100 }, additions: {} },
        control: value === 0,
      }),
    ),
  mixing: (_, tiles) => 8 * tiles,
});
