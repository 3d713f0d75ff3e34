/** The coat: how it went on. */
import { fact, type Fact } from '../fact-types';

export const coat: readonly Fact[] = [
  fact('raw-coat', 'How did the raw coat look?', 'ask', {
    whole: [0.7, 'whole'],
    cracked: [0.08, 'cracked'],
    holed: [0.08, 'with fine holes'],
    powdery: [0.07, 'powdery'],
    flaking: [0.07, 'flaking'],
  }),
  fact('dried-between', 'Was each coat dry before the next?', 'record', {
    no: [0.2, 'no'],
    yes: [0.8, 'yes'],
  }),
  fact('applied', 'How was it put on?', 'record', {
    dipped: [0.55, 'dipped or poured'],
    'few-coats': [0.09, 'brushed, fewer than three coats'],
    brushed: [0.2, 'brushed, three coats and more'],
    sprayed: [0.16, 'sprayed'],
  }),
  fact('sg', 'How was the bucket that day?', 'record', {
    low: [0.09, 'thinner than usual'],
    usual: [0.7, 'as usual, stirred'],
    high: [0.09, 'thicker than usual'],
    gelled: [0.06, 'gelled at the right weight'],
    unstirred: [0.06, 'not stirred, or worse as the session went on'],
  }),
  fact('washed', 'Was the bisque wiped or washed?', 'ask', {
    yes: [0.4, 'yes'],
    no: [0.6, 'no'],
  }),
  fact('waited', 'How long did it dry after glazing?', 'record', {
    'same-day': [0.3, 'fired the same day'],
    day: [0.7, 'a day and more'],
  }),
  fact('shelf-flakes', 'Are there flakes of glaze on the shelf?', 'look', {
    yes: [0.07, 'yes'],
    no: [0.93, 'no'],
  }),
  fact('foot', 'Was the foot clean?', 'record', {
    low: [0.09, 'flagged, or the glaze ends under 3 mm above it'],
    clean: [0.91, 'wiped, the glaze ends well above'],
  }),
  fact('wet-bisque', 'Was the bisque damp, or the wall thin and soaked?', 'ask', {
    yes: [0.2, 'yes'],
    no: [0.8, 'no'],
  }),
  fact('bare-end', 'Is a stroke’s end left uncovered, and how is it?', 'look', {
    keeps: [0.0095, 'it keeps its colour'],
    gone: [0.3, 'it lost it too'],
    covered: [0.69, 'every stroke is covered'],
  }),
  fact('cover', 'What lies over it?', 'record', {
    none: [0.2, 'nothing'],
    clear: [0.45, 'a clear, thin'],
    thick: [0.25, 'a thick clear'],
    milky: [0.1, 'a white or milky coat'],
  }),
  fact('smear', 'Was it sharp before it was fired?', 'ask', {
    blurred: [0.0095, 'blurred already, or coloured the bucket'],
    sharp: [0.99, 'sharp'],
  }),
  fact('slip-stage', 'How wet was the clay when the slip went on?', 'record', {
    dry: [0.09, 'dry, or bisqued'],
    leather: [0.5, 'leather-hard'],
    soft: [0.41, 'soft leather-hard'],
  }),
  fact('slip-shrinkage', 'Does the slip shrink as the body does?', 'record', {
    differs: [0.09, 'more than two points apart'],
    same: [0.91, 'the same, or made of the body'],
  }),
  fact('slip-dried', 'How did it dry?', 'ask', {
    fast: [0.2, 'in sun, wind or by a fan'],
    covered: [0.8, 'slowly'],
  }),
  fact('white-before', 'Was there a white bloom before it was glazed?', 'ask', {
    yes: [0.0095, 'yes, on dry or bisqued edges'],
    no: [0.99, 'no'],
  }),
  fact('crust', 'Is there a crust or crystals in the bucket?', 'look', {
    yes: [0.2, 'yes, or it is old'],
    no: [0.8, 'no'],
  }),
];
