import { weighing } from './colourant';
import { added, defineDesign, percent } from './design';
import { counted, material, recipe } from './parts';

/** Silica and kaolin that one step of the crazing ladder adds, % of the base (common practice, no source). */
export const CRAZING_STEP = { silica: 1.25, kaolin: 1 };

export const crazing = defineDesign({
  kind: 'crazing',
  name: 'Crazing ladder',
  asks: 'Do silica and a little kaolin stop {} crazing?',
  of: ({ base }) => [base],
  varies: `silica by ${CRAZING_STEP.silica} % and kaolin by ${CRAZING_STEP.kaolin} % a step`,
  parts: {
    base: recipe('Recipe to start from'),
    steps: counted('Steps', 1, 8),
    silica: material('Silica'),
    kaolin: material('Kaolin'),
  },
  first: ({ recipe, material }) => ({
    base: recipe(0),
    steps: 5,
    silica: material('silica'),
    kaolin: material('kaolin'),
  }),
  asked: () => ['step', 'body'],
  tiles: ({ base, steps, silica, kaolin, controls }, { layer, draft }) =>
    Array.from({ length: steps + (controls ? 1 : 0) }, (_, i) => {
      const step = controls ? i : i + 1;
      const more = { [silica]: step * CRAZING_STEP.silica, [kaolin]: step * CRAZING_STEP.kaolin };
      return draft(
        i,
        step === 0
          ? 'as it is'
          : Object.entries(more)
              .map(([name, value]) => `+ ${percent(value)} ${name}`)
              .join(', '),
        { base, step: String(step) },
        [layer(null)],
        { mix: added(base, step === 0 ? {} : more), control: step === 0 },
      );
    }),
  mixing: weighing,
});
