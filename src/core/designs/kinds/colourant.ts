import { added, defineDesign, percent, unique } from './design';
import { material, percents, recipe } from './parts';

/** Each tile's base is weighed again: minutes (common practice, no source). */
export const weighing = (_: unknown, tiles: number): number => 15 + 4 * tiles;

export const colourant = defineDesign({
  kind: 'colourant',
  name: 'Colourant ladder',
  asks: 'How much colourant does {} take?',
  of: ({ base }) => [base],
  varies: 'the colourant',
  parts: {
    base: recipe('Recipe to start from'),
    material: material('What is stepped up'),
    percents: percents('Percent of the base'),
  },
  first: ({ recipe, material }) => ({
    base: recipe(0),
    material: material('red-iron-oxide'),
    percents: [1, 2, 4, 8],
  }),
  asked: ({ material }) => [material, 'body'],
  tiles: ({ base, material, percents, controls }, { layer, draft }) =>
    unique(controls ? [0, ...percents] : percents).map((value, i) =>
      draft(
        i,
        value === 0 ? 'plain' : `+ ${percent(value)} ${material}`,
        { base, [material]: percent(value) },
        [layer(null)],
        { mix: added(base, value === 0 ? {} : { [material]: value }), control: value === 0 },
      ),
    ),
  mixing: weighing,
});
