/** How it looks close up. */
import { fact, type Fact } from '../fact-types';

export const close: readonly Fact[] = [
  fact('bottom', 'What lies at the bottom of the hole?', 'lens', {
    body: [0.35, 'body'],
    glaze: [0.43, 'glaze'],
    void: [0.14, 'nothing: a hollow under a skin'],
    speck: [0.08, 'a dark or white speck'],
  }),
  fact('rims', 'What are the edges of the holes like?', 'lens', {
    smooth: [0.5, 'smooth, sunk in'],
    raised: [0.32, 'raised'],
    'half-sunk': [0.1, 'raised once, half sunk back'],
    sharp: [0.08, 'sharp'],
  }),
  fact('lens', 'What does a lens show in the glaze?', 'lens', {
    nothing: [0.65, 'nothing'],
    bubbles: [0.09, 'fine bubbles'],
    crystals: [0.09, 'crystals'],
    grains: [0.08, 'grains that did not melt'],
    'blue-clear': [0.09, 'a blue cast and no bubbles'],
  }),
  fact('core', 'What colour is the middle of a broken wall?', 'break', {
    dark: [0.09, 'dark, a black core'],
    even: [0.91, 'the same throughout'],
  }),
  fact('surface', 'How does the glaze feel and shine?', 'record', {
    gloss: [0.5, 'glossy'],
    satin: [0.2, 'satin'],
    matt: [0.2, 'matt'],
    dry: [0.1, 'dry, dusty'],
  }),
  fact('moved', 'Did it flow?', 'record', {
    still: [0.45, 'not at all'],
    little: [0.4, 'a little'],
    ran: [0.15, 'it ran'],
  }),
  fact('crack-edges', 'What are the edges of the crack like?', 'look', {
    sharp: [0.6, 'sharp, through the glaze'],
    rounded: [0.4, 'rounded, with glaze drawn in'],
  }),
  fact('crack', 'How does the crack run?', 'look', {
    rim: [0.3, 'from the rim down the wall'],
    joint: [0.09, 'at a handle, a spout, a join'],
    base: [0.0095, 'an S or a straight line in the middle of the base'],
    'from-base': [0.15, 'from the edge of the base'],
    vee: [0.09, 'a V in the rim'],
    star: [0.09, 'a star or a chip, as from a blow'],
    wall: [0.27, 'across the wall'],
  }),
  fact('flake', 'What is on the back of the flake?', 'look', {
    slip: [0.0095, 'slip'],
    body: [0.15, 'some body'],
    bare: [0.84, 'nothing but glaze'],
  }),
  fact('scar', 'What does the scar at the foot look like?', 'look', {
    'run-line': [0.0095, 'a run of glaze leads into it'],
    glaze: [0.4, 'glaze in it'],
    none: [0.0095, 'no glaze in it: chips torn out'],
    wash: [0.09, 'kiln wash came up with it'],
    side: [0.0095, 'it is on the side, the rim or a gallery'],
    unknown: [0.48, 'none of these'],
  }),
  fact('shape', 'Do the bare places have a shape?', 'look', {
    fingers: [0.06, 'of fingers, a grip or a drip'],
    network: [0.3, 'of a net, as dried mud'],
    none: [0.64, 'no'],
  }),
  fact('pattern', 'What do the patches follow?', 'look', {
    overlap: [0.09, 'dips, overlaps and drips'],
    wall: [0.12, 'thick and thin walls, or sponged places'],
    clouds: [0.6, 'nothing: clouds'],
    'one-side': [0.1, 'the side to the flame or the door'],
    brush: [0.09, 'strokes'],
  }),
  fact('spot-look', 'What is the spot like?', 'lens', {
    gritty: [0.09, 'white and gritty'],
    dark: [0.25, 'dark, perhaps magnetic'],
    coat: [0.09, 'a drip of a coat that stood above'],
    other: [0.57, 'none of these'],
  }),
  fact('spot-faces', 'On which faces?', 'look', {
    top: [0.5, 'only on those that look up'],
    all: [0.35, 'on sides too'],
    under: [0.15, 'on undersides too'],
  }),
  fact('metal', 'What does a mild cleaner do to the mark?', 'look', {
    cleans: [0.09, 'it comes off'],
    groove: [0.6, 'a groove stays'],
    dull: [0.31, 'all is dull, not only the line'],
  }),
  fact('stain', 'How does the stain run?', 'look', {
    lines: [0.09, 'in lines or dots'],
    broad: [0.7, 'broad'],
    ring: [0.21, 'a damp ring at the foot or rim'],
  }),
  fact('pop', 'What is at the bottom of the pop?', 'lens', {
    hard: [0.2, 'a hard white speck'],
    soft: [0.2, 'a soft chip, as of plaster'],
    grit: [0.09, 'shell or grit'],
    other: [0.51, 'nothing to be seen'],
  }),
];
