/** The pot itself, and what happened to it. */
import { fact, type Fact } from '../fact-types';

export const pot: readonly Fact[] = [
  fact('ground', 'What colour is the body beneath?', 'record', {
    white: [0.4, 'white'],
    buff: [0.3, 'buff'],
    dark: [0.3, 'dark, with iron'],
  }),
  fact('new-body', 'Is the body, or its delivery, new?', 'record', {
    yes: [0.2, 'yes'],
    no: [0.8, 'no'],
  }),
  fact('porous', 'Is the surface grogged, trimmed or open?', 'look', {
    open: [0.2, 'yes'],
    smooth: [0.8, 'smooth'],
  }),
  fact('glazed', 'Which sides are glazed?', 'record', {
    inside: [0.09, 'the inside alone, and thick'],
    both: [0.91, 'both, or the outside'],
  }),
  fact('section', 'How are base and wall?', 'look', {
    uneven: [0.2, 'the base thick or wide, tight on the shelf'],
    even: [0.8, 'even and thin'],
  }),
  fact('drying', 'How did the pot dry?', 'ask', {
    uneven: [0.2, 'the rim first, or in a draught'],
    covered: [0.8, 'slowly, covered'],
  }),
  fact('made', 'How was it made?', 'record', {
    thrown: [0.5, 'thrown'],
    slab: [0.25, 'of slabs'],
    other: [0.25, 'otherwise'],
  }),
  fact('plastic', 'How much does the clay shrink in drying?', 'record', {
    much: [0.2, 'over 7 %'],
    usual: [0.8, 'less, or it is grogged'],
  }),
  fact('handled', 'Was it knocked, or lifted by the rim?', 'ask', {
    rim: [0.09, 'lifted by the rim'],
    knocked: [0.15, 'knocked or pressed'],
    no: [0.76, 'not that anybody knows'],
  }),
  fact('form', 'What form is it?', 'look', {
    wide: [0.2, 'flat, wide, thin or top-heavy'],
    upright: [0.8, 'upright'],
  }),
  fact('warped-before', 'Was it straight before the firing?', 'ask', {
    warped: [0.0095, 'warped already'],
    straight: [0.99, 'straight'],
  }),
  fact('added', 'Was sand, grog or local clay added?', 'record', {
    sand: [0.2, 'sand or grog'],
    local: [0.15, 'local or reclaimed clay'],
    none: [0.65, 'no'],
  }),
  fact('plaster', 'Was plaster used near the clay?', 'ask', {
    near: [0.2, 'yes'],
    none: [0.8, 'no'],
  }),
  fact('porcelain', 'Is it porcelain or another tight body?', 'record', {
    yes: [0.2, 'yes'],
    no: [0.8, 'no'],
  }),
  fact('red-body', 'Is it a red body?', 'record', {
    yes: [0.22, 'yes'],
    no: [0.78, 'no'],
  }),
  fact('dishwasher', 'What has it been through?', 'ask', {
    many: [0.15, 'many rounds in a dishwasher'],
    new: [0.85, 'nothing: it is new'],
  }),
  fact('stacked', 'Was it under wax, or bisqued in a stack?', 'ask', {
    yes: [0.2, 'yes'],
    no: [0.8, 'no'],
  }),
];
