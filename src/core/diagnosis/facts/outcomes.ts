/** What tests turned out. */
import { fact, type Fact } from '../fact-types';

const outcome = (id: string, name: string, yes: string, no: string): Fact =>
  fact(id, `What did ${name} show?`, 'test', {
    yes: [0.25, yes],
    no: [0.75, no],
  });

export const outcomes: readonly Fact[] = [
  fact('t-half-cone', 'What did half a cone more and less show?', 'test', {
    cooler: [0.12, 'better when cooler'],
    hotter: [0.12, 'better when hotter'],
    alike: [0.76, 'no better'],
  }),
  fact('t-thin-thick', 'What did single and double dips show?', 'test', {
    thin: [0.15, 'the thin one is clean'],
    thick: [0.12, 'the thick one is clean'],
    alike: [0.73, 'both alike'],
  }),
  outcome('t-two-bodies', 'the same coat on a quiet body', 'clean there', 'alike there'),
  outcome('t-slow-bisque', 'a slow, airy bisque', 'clean after it', 'no better'),
  outcome('t-drop-hold', 'a drop and hold', 'better', 'no better'),
  outcome('t-order', 'the coats alone and turned round', 'only together, this way', 'alone too'),
  outcome('t-wiped-half', 'a wiped half', 'the wiped half is clean', 'no better'),
  outcome('t-bucket', 'the bucket stirred, sieved and set', 'better', 'no better'),
  outcome('t-two-coolings', 'two coolings', 'they differ', 'they are alike'),
  outcome('t-ladder', 'the ladder of silica and kaolin', 'it ends on a rung', 'no end to it'),
  outcome('t-ice', 'hot ware into ice water', 'more cracks', 'none'),
  outcome('t-boil', 'frozen ware into boiling water', 'slivers', 'none'),
  outcome('t-without', 'the coat without what is suspected', 'clean', 'no better'),
  outcome('t-batch', 'the old batch beside the new', 'only the new one', 'both'),
  outcome('t-steam', 'one twin steamed, one kept dry', 'the steamed one', 'both or neither'),
  outcome('t-stages', 'slip at three stages', 'the wet one holds', 'all alike'),
];
