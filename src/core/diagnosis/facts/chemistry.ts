/** What a recipe holds. */
import { fact, type Fact } from '../fact-types';

export const chemistry: readonly Fact[] = [
  fact(
    'fit',
    'How does the glaze’s expansion stand to the body’s?',
    'record',
    {
      // Computed expansions are within about 15 % of measured ones: one in six and a half.
      'far-below': [0.06, 'far below'],
      below: [0.2, 'below, more than the error'],
      near: [0.54, 'within the error'],
      above: [0.2, 'above, more than the error'],
    },
    { unit: '10⁻⁶/K of glaze less body', bounds: [-2.5, -1, 1] },
  ),
  fact(
    'absorption',
    'How much water does the fired body take up?',
    'record',
    {
      tight: [0.3, 'under 1 %'],
      low: [0.35, '1 to 3 %'],
      open: [0.2, '3 to 8 %'],
      porous: [0.15, 'over 8 %'],
    },
    { unit: '%', bounds: [1, 3, 8] },
  ),
  fact('lithia', 'Is there lithia in it?', 'record', {
    much: [0.12, 'over 2 %'],
    some: [0.1, 'a little'],
    none: [0.78, 'none'],
  }),
  fact('silicon-carbide', 'Is there silicon carbide in any coat?', 'record', {
    yes: [0.09, 'yes'],
    none: [0.91, 'no'],
  }),
  fact('gas-makers', 'Is there manganese, sulphate or fluoride in it?', 'record', {
    yes: [0.2, 'yes'],
    none: [0.8, 'no'],
  }),
  fact('shrinking', 'Is it rich in what shrinks in drying?', 'record', {
    yes: [0.2, 'over a quarter plastic clay, raw zinc, light magnesium carbonate or bone ash'],
    no: [0.8, 'no'],
  }),
  fact('stiff', 'Is it rich in tin, zircon, alumina or magnesia?', 'record', {
    yes: [0.2, 'yes'],
    no: [0.8, 'no'],
  }),
  fact('ratio', 'Silica to alumina?', 'record', {
    matt: [0.2, 'five or less, without much boron'],
    other: [0.8, 'more'],
  }),
  fact('boron', 'How much boron, and with what?', 'record', {
    'two-glass': [0.15, 'much, with lime, little alumina'],
    some: [0.45, 'some'],
    little: [0.4, 'next to none'],
  }),
  fact('opacifier', 'How much titania, zinc, copper or manganese?', 'record', {
    high: [0.2, 'much'],
    low: [0.8, 'little'],
  }),
  fact('zinc', 'Is there zinc in it, or in what covers it?', 'record', {
    yes: [0.09, 'over 1 %'],
    none: [0.91, 'none'],
  }),
  fact('lime', 'How much lime?', 'record', {
    low: [0.2, 'under 8 %'],
    middle: [0.4, '8 to 12 %'],
    high: [0.4, 'over 12 %'],
  }),
  fact('magnesia', 'How much magnesia?', 'record', {
    high: [0.09, 'much'],
    low: [0.91, 'little'],
  }),
  fact('titania', 'Is there titania, rutile or iron in the stack or the body?', 'record', {
    yes: [0.22, 'yes'],
    none: [0.78, 'none'],
  }),
  fact('ash', 'Is there rutile, bone ash or wood ash in it?', 'record', {
    yes: [0.09, 'yes'],
    none: [0.91, 'none'],
  }),
  fact('tin', 'Is there tin in the coat that blushed?', 'record', {
    yes: [0.09, 'yes'],
    none: [0.91, 'no'],
  }),
  fact('iron-content', 'How much iron?', 'record', {
    high: [0.2, 'over 2.5 %'],
    middle: [0.5, '1.5 to 2.5 %'],
    low: [0.3, 'under 1.5 %'],
  }),
  fact('base', 'What flux rules the base?', 'record', {
    lime: [0.5, 'lime'],
    alkali: [0.3, 'soda and potash'],
    other: [0.2, 'another'],
  }),
  fact('pigment', 'Where does the colour come from?', 'record', {
    bought: [0.6, 'a bought stain'],
    own: [0.2, 'oxides, an own mixture'],
    copper: [0.2, 'copper, cobalt or manganese oxide'],
  }),
  fact('pigment-heat', 'Was it fired above what its colour bears?', 'record', {
    above: [0.09, 'yes'],
    within: [0.91, 'no'],
  }),
  fact('colourant', 'How much copper, manganese or other heavy oxide?', 'record', {
    heavy: [0.15, 'over 4 % copper, over 8 % manganese, or a metal skin'],
    middle: [0.35, 'between'],
    little: [0.5, 'under 1 to 3 %'],
  }),
  fact('silica', 'Is there silica and alumina enough for the cone?', 'record', {
    low: [0.2, 'too little'],
    enough: [0.8, 'enough'],
  }),
  fact('soda', 'Is it rich in soda ash?', 'record', {
    rich: [0.2, 'yes'],
    low: [0.8, 'no'],
  }),
  fact('slip-clay', 'What clay is the slip of?', 'record', {
    shrinking: [0.2, 'ball clay, bentonite or the like'],
    calcined: [0.1, 'partly calcined'],
    usual: [0.7, 'the body, or kaolin'],
  }),
];
