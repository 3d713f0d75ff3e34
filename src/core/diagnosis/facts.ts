/**
 * The published list of facts. Thresholds are rules of thumb and judgement unless a source stands beside them; what
 * is read from records is read as these values too, so that a case can be written down by hand.
 */
import { fact, type Fact } from './fact-types';

/** Where on the piece and among pieces it shows. */
const where: Fact[] = [
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

/** How it looks close up. */
const close: Fact[] = [
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

/** The coat: how it went on. */
const coat: Fact[] = [
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

/** What a recipe holds. */
const chemistry: Fact[] = [
  fact(
    'fit',
    'How does the glaze’s expansion stand to the body’s?',
    'record',
    {
      'far-below': [0.07, 'far below'],
      below: [0.23, 'below, more than the error'],
      near: [0.4, 'within the error'],
      above: [0.3, 'above, more than the error'],
    },
    { unit: '10⁻⁶/K of glaze less body', bounds: [-2, -0.5, 0.5] },
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

/** The firing. */
const firing: Fact[] = [
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

/** The pot itself, and what happened to it. */
const pot: Fact[] = [
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

const outcome = (id: string, name: string, yes: string, no: string): Fact =>
  fact(id, `What did ${name} show?`, 'test', {
    yes: [0.25, yes],
    no: [0.75, no],
  });

/** What tests turned out. */
const tests: Fact[] = [
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

export const FACTS: readonly Fact[] = [
  ...where,
  ...close,
  ...coat,
  ...chemistry,
  ...firing,
  ...pot,
  ...tests,
];

const BY_ID = new Map(FACTS.map((one) => [one.id, one]));
export const factOf = (id: string): Fact | undefined => BY_ID.get(id);
