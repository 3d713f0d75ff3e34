/** The firing. */
import { fact, type Fact } from '../fact-types';

export const firing: readonly Fact[] = [
  fact('heat', 'What heat did that place get, against the coating’s range?', 'record', {
    below: [0.08, 'below it'],
    lower: [0.38, 'in its lower half'],
    upper: [0.46, 'in its upper half'],
    above: [0.08, 'above it'],
  }),
  fact('body-heat', 'And against the body’s range?', 'record', {
    below: [0.1, 'below it'],
    lower: [0.4, 'in its lower half'],
    upper: [0.42, 'in its upper half'],
    above: [0.08, 'above it'],
  }),
  fact('range', 'Is the glaze meant for this cone?', 'record', {
    hotter: [0.09, 'no: for a hotter one'],
    fits: [0.91, 'yes'],
  }),
  fact('before', 'Was it ever right here?', 'record', {
    good: [0.4, 'yes, in this kiln, to this cone'],
    never: [0.6, 'no, or never tried'],
  }),
  fact('top', 'How were the last hundred degrees?', 'record', {
    fast: [0.22, 'fast (over 120 °C/h), without a hold'],
    usual: [0.43, 'as usual'],
    held: [0.35, 'slow, or a quarter of an hour’s hold'],
  }),
  fact('fall', 'How did it fall from the peak?', 'record', {
    fast: [0.22, 'fast'],
    usual: [0.43, 'as usual'],
    slow: [0.25, 'slowly'],
    'drop-hold': [0.1, 'it dropped fifty degrees and held'],
  }),
  fact('cooling', 'How did it cool from 1100 to 900 °C?', 'record', {
    slower: [0.2, 'slower than in firings where it was right'],
    usual: [0.5, 'alike'],
    faster: [0.3, 'faster, over 150 °C/h'],
  }),
  fact('long-hot', 'Was it long above 1200 °C?', 'record', {
    yes: [0.2, 'yes'],
    no: [0.8, 'no'],
  }),
  fact('opened', 'How hot was it when it was opened?', 'record', {
    hot: [0.2, 'over 150 °C, or hot liquid came in just before'],
    warm: [0.3, '80 to 150 °C'],
    cool: [0.5, 'under 80 °C'],
  }),
  fact('bisque', 'How was it bisqued?', 'record', {
    fast: [0.2, 'fast, low, or stacked tight'],
    usual: [0.45, 'as usual'],
    slow: [0.35, 'slowly, with air'],
  }),
  fact('other-bisque', 'And pots of another bisque?', 'record', {
    clean: [0.09, 'they are clean'],
    alike: [0.91, 'they show it alike'],
  }),
  fact(
    'bisque-absorption',
    'How much water does the bisque take up?',
    'record',
    {
      tight: [0.15, 'under 6 %'],
      middle: [0.35, '6 to 10 %'],
      thirsty: [0.5, 'over 10 %'],
    },
    { unit: '%', bounds: [6, 10] },
  ),
  fact('bisque-cone', 'At what cone was the bisque?', 'record', {
    cooler: [0.15, 'cooler than usual'],
    usual: [0.7, 'as usual'],
    hotter: [0.15, 'hotter than usual'],
  }),
  fact('air', 'What was the air of the firing?', 'record', {
    oxidation: [0.7, 'oxidation'],
    reduction: [0.3, 'reduction'],
  }),
  fact('reduction', 'How did the reduction go?', 'record', {
    late: [0.2, 'late or weak, from above 950 °C'],
    usual: [0.55, 'as usual'],
    early: [0.12, 'heavy before 900 °C'],
    end: [0.13, 'heavy at the end'],
  }),
  fact('celadons', 'How are the celadons of that load?', 'look', {
    yellow: [0.09, 'yellow too'],
    blue: [0.3, 'blue-green, as they should be'],
    none: [0.61, 'there is none'],
  }),
  fact('iron-bodies', 'How are the iron bodies of that load?', 'look', {
    pale: [0.09, 'pale'],
    usual: [0.91, 'as always'],
  }),
  fact('sheltered', 'And the sides turned away from the fire?', 'look', {
    good: [0.2, 'good there'],
    lost: [0.8, 'lost there too'],
  }),
  fact('look', 'What is there instead of red?', 'look', {
    liver: [0.09, 'opaque brown-red, liver'],
    clear: [0.4, 'clear or green'],
    pink: [0.3, 'pink'],
    pools: [0.21, 'red in the pools only'],
  }),
  fact('smoky', 'Are other glazes of the load smoky or grey?', 'look', {
    yes: [0.2, 'yes'],
    no: [0.8, 'no'],
  }),
  fact('chrome-near', 'Did anything with chrome stand near?', 'record', {
    near: [0.09, 'within a hand'],
    load: [0.21, 'somewhere in the load'],
    none: [0.7, 'no'],
  }),
  fact('fades', 'Does the colour fade away from one side?', 'look', {
    yes: [0.09, 'yes, from the neighbour on'],
    no: [0.91, 'no'],
  }),
  fact('refire-climb', 'How fast was the refire?', 'record', {
    fast: [0.25, 'fast'],
    slow: [0.75, 'slow to 650 °C'],
  }),
  fact('warmed', 'How was the new coat put on?', 'record', {
    plain: [0.25, 'on cold glaze, without gum'],
    warmed: [0.75, 'warmed, gummed or roughened'],
  }),
];
