import { defineDesign, over } from './design';
import { stacks } from './parts';

export const list = defineDesign({
  kind: 'list',
  name: 'Free list',
  asks: 'How do these stacks come out?',
  varies: 'the stack',
  parts: { stacks: stacks('Stack') },
  first: ({ coating }) => ({
    stacks: [[coating(0)], [coating(0), coating(1)].filter(Boolean)],
  }),
  asked: () => ['stack', 'body'],
  tiles: ({ stacks }, { layer, draft }) =>
    stacks.map((stack, i) =>
      draft(
        i,
        over(stack),
        { stack: stack.join(' + ') },
        stack.map((coat) => layer(coat)),
      ),
    ),
});
