/** Where on the piece and among pieces it shows. */
import { fact, type Fact } from '../fact-types';

export const where: readonly Fact[] = [
  fact('thickness', 'How does it go with the thickness of the coat?', 'look', {
    'only-thick': [0.08, 'only where it is thick or double'],
    'worse-thick': [0.44, 'worse where it is thick, there where it is thin too'],
    alike: [0.4, 'thick and thin alike'],
    'only-thin': [0.08, 'only where it is thin; drips and pools are good'],
  }),
  fact('where', 'Where on the piece is it?', 'look', {
    whole: [0.4, 'all over'],
    rim: [0.1, 'at rims and edges'],
    joint: [0.05, 'at joints and inner corners'],
    foot: [0.07, 'at the foot'],
    bottom: [0.06, 'in the bottom inside'],
    upward: [0.06, 'on faces that look up'],
    overlap: [0.09, 'only where two coats overlap'],
    trimmed: [0.05, 'where it was trimmed, scraped or sponged'],
    hollows: [0.05, 'in hollows, lines and inlay'],
    spot: [0.07, 'in one place or two'],
  }),
  fact('first-seen', 'When was it first seen?', 'ask', {
    raw: [0.05, 'before the firing, in the raw coat or the raw pot'],
    opening: [0.75, 'when the kiln was opened'],
    days: [0.08, 'days later'],
    weeks: [0.06, 'weeks later'],
    years: [0.03, 'months or years later'],
    use: [0.03, 'in use'],
  }),
  fact('load', 'Do other pieces of that load, with other stacks, show it too?', 'record', {
    shared: [0.08, 'unrelated stacks share it'],
    some: [0.5, 'a few do'],
    usual: [0.42, 'no: the control tile and the rest are as always'],
  }),
  fact('place', 'Where in the kiln did the pieces with it stand?', 'record', {
    one: [0.09, 'on one shelf or side'],
    random: [0.91, 'anywhere'],
  }),
  fact('body', 'Which bodies show it?', 'record', {
    only: [0.09, 'several coatings on this body, and not on another'],
    every: [0.91, 'every body alike'],
  }),
  fact('recipe', 'Does this coating show it elsewhere?', 'record', {
    everywhere: [0.09, 'on every body, in several firings'],
    sound: [0.91, 'the same batch is sound elsewhere at like heat and thickness'],
  }),
  fact('batch', 'Did it begin with a batch, a bucket or a delivery?', 'record', {
    began: [0.06, 'it began with one'],
    older: [0.6, 'an older batch shows it in the same firing'],
    same: [0.34, 'nothing was new'],
  }),
  fact('stack', 'What does each coat do by itself?', 'record', {
    'together-thick': [0.0095, 'each alone is sound, at the thickness of the stack'],
    together: [0.14, 'each alone is sound, as a single coat'],
    alone: [0.45, 'one of them shows it alone'],
    single: [0.4, 'there is only one coat'],
  }),
  fact('order', 'Does it show in both orders of the two coats?', 'record', {
    'one-order': [0.0095, 'in one order only'],
    both: [0.5, 'both orders alike'],
    'not-tried': [0.49, 'only one order was ever made'],
  }),
  fact('under', 'And on the ground beside what lies beneath?', 'look', {
    'only-over': [0.09, 'only over what lies beneath (slip, underglaze, oxide, a coat)'],
    bare: [0.91, 'the bare ground beside it shows it alike'],
  }),
  fact('hand', 'Whose pieces show it?', 'record', {
    one: [0.2, 'those of one person or one session'],
    all: [0.8, 'others’ too'],
  }),
  fact('generation', 'Was the piece fired before with glaze on it?', 'record', {
    first: [0.85, 'no: this was its first glaze firing'],
    'new-since': [0.0095, 'yes, and it was clean before'],
    again: [0.14, 'yes, and nobody knows how it was before'],
  }),
  fact('count', 'How many are there?', 'look', {
    few: [0.2, 'one or two'],
    many: [0.8, 'many'],
  }),
];
