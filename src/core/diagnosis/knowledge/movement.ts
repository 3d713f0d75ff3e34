/** The coat that drew back, ran, stuck, flaked, or is thinner or thicker than was meant. */
import {
  AFTER_FIRST,
  cause,
  HAND,
  REFIRE,
  RECIPE,
  says,
  STACK,
  THIN,
  UNDER,
  type Cause,
} from '../cause-types';

export const movement: readonly Cause[] = [
  cause(
    'raw-cracked',
    'The raw coat cracked in drying',
    'coating',
    'Much clay, raw zinc or light magnesia shrinks as it dries; along the cracks the melt draws back.',
    {
      source: 'published',
      shares: { crawling: 30, 'raw-flakes': 40 },
      evidence: [
        says('raw-coat', { cracked: 1, whole: -0.6 }),
        says('shrinking', { yes: 0.6, no: -0.4 }),
        says('shape', { network: 0.4, fingers: -0.6 }),
        says('thickness', { 'only-thick': 0.6, 'worse-thick': 0.2, alike: -0.4 }),
      ],
      tests: ['t-without', 't-thin-thick: thin'],
      do: ['Thinner', 'Calcine a part of the clay or the zinc'],
    },
  ),
  cause(
    'dust',
    'Dust, grease or fingers on the bisque',
    'piece',
    'The coat never touched the body there, and lets go first.',
    {
      shares: { crawling: 25, 'raw-flakes': 28 },
      evidence: [
        says('shape', { fingers: 1, network: -0.5 }),
        says('washed', { no: 0.1, yes: -1 }),
        ...HAND,
      ],
      tests: ['t-wiped-half'],
      do: [
        { do: 'Wipe with a damp sponge and let it dry', school: 'many; some only blow it off' },
        'Clean hands, bisque kept covered',
      ],
    },
  ),
  cause(
    'pigment-below',
    'Underglaze, stain or oxide too thick beneath',
    'piece',
    'A dusty layer that does not melt with the glaze: the coat stands on powder.',
    {
      shares: { crawling: 10 },
      evidence: [...UNDER, says('where', { hollows: 0.3 })],
      tests: ['t-without'],
      do: ['Thinner, with a little flux', 'Bisque it on first'],
    },
  ),
  cause(
    'corners',
    'Joints and inner corners',
    'piece',
    'Thick, dusty and slow to dry: the coat bridges the corner and tears.',
    {
      shares: { crawling: 10 },
      evidence: [says('where', { joint: 1, whole: -1, rim: -0.6 })],
      do: ['Clean corners, thin coat there', 'Round them in making'],
    },
  ),
  cause('damp', 'Damp ware heated fast', 'firing', 'Steam lifts the coat off.', {
    shares: { crawling: 6, 'raw-flakes': 6 },
    evidence: [
      says('shelf-flakes', { yes: 1, no: -0.2 }),
      says('waited', { 'same-day': 0.4, day: -0.8 }),
    ],
    do: ['Dry a day', 'Slow to 120 °C'],
    caution: 'Damp ware explodes.',
  }),
  cause(
    'poor-grip',
    'Poor grip: a refire, or tight bisque',
    'piece',
    'Nothing drinks the water: the coat dries on glass and slides together.',
    {
      shares: { crawling: 8, 'refire-trouble': 30 },
      evidence: [
        says('generation', { 'new-since': 1, again: 0.8, first: -0.3 }, 'crawling'),
        says('bisque-absorption', { tight: 0.6, thirsty: -0.6 }),
        says('warmed', { plain: 0.6, warmed: -0.6 }),
      ],
      do: ['Warm the piece', 'A thicker slurry, gum, or a brush'],
    },
  ),
  cause(
    'flux-pair',
    'Two coats flux one another',
    'piece',
    'Together they melt at less heat than either, and there is twice as much.',
    {
      shares: { running: 20, halo: 35 },
      evidence: STACK,
      tests: ['t-order'],
      do: ['The top coat on the upper third alone', 'A stable coat at the foot to catch it'],
    },
  ),
  cause(
    'fluid',
    'A fluid glaze by its recipe',
    'coating',
    'Much alkali or boron, little alumina: it moves on any wall, and takes lines along.',
    {
      source: 'published',
      shares: { running: 20, bleed: 35, halo: 20, breaking: 25 },
      evidence: [
        ...RECIPE,
        says('stack', { single: 0.4, alone: 0.4, 'together-thick': -1 }, 'running'),
        says('thickness', { alike: 0.3, 'only-thick': -0.4 }, 'running'),
        says('moved', { ran: 0.6, still: -1 }, 'bleed'),
      ],
      tests: ['t-without'],
      do: ['More kaolin', 'Keep it off the lowest third'],
    },
  ),
  cause(
    'flux-below',
    'A fluxing wash or slip beneath',
    'piece',
    'Iron, copper or a frit slip feeds the melt from below.',
    {
      shares: { running: 6 },
      evidence: UNDER,
      tests: ['t-without'],
      do: ['A thinner wash'],
    },
  ),
  cause(
    'ran-down',
    'It ran down to the shelf',
    'piece',
    'The same as running, with a shelf at its end.',
    {
      shares: { stuck: 45, 'refire-trouble': 20 },
      evidence: [
        says('scar', { 'run-line': 2, none: -2, side: -2, wash: -0.5 }),
        says('moved', { ran: 0.6, little: -0.3, still: -1 }),
      ],
      do: ['As for running', 'A waster beneath'],
      caution: 'Grind wet, with goggles.',
    },
  ),
  cause(
    'foot-dirty',
    'Glaze on the foot, or too near it',
    'piece',
    'What is on the foot is on the shelf.',
    {
      shares: { stuck: 28 },
      evidence: [
        says('foot', { low: 1, clean: -1 }),
        says('scar', { none: -1.5, 'run-line': -0.3, side: -2 }),
        says('moved', { ran: -0.3 }),
      ],
      do: ['Wax and wipe', 'Five to ten millimetres bare'],
    },
  ),
  cause(
    'plucked',
    'A tight bare foot was plucked',
    'body',
    'A vitreous body sticks to the shelf by itself, and tears.',
    {
      source: 'published',
      shares: { stuck: 12 },
      evidence: [
        says('scar', { none: 2, glaze: -1, 'run-line': -2, side: -2 }),
        says('porcelain', { yes: 0.6, no: -0.6 }),
      ],
      do: [
        { do: 'Alumina in the foot wax', school: 'porcelain makers; others trust the wash alone' },
        'Alumina on the shelf',
      ],
    },
  ),
  cause(
    'wash-worn',
    'The kiln wash is worn or fluxed',
    'kiln',
    'Where the wash is gone or has melted, the shelf itself holds on.',
    {
      shares: { stuck: 8 },
      evidence: [says('scar', { wash: 1, side: -2 }), says('place', { one: 0.3 })],
      do: ['Scrape and wash anew'],
      caution: 'Scrape wet: the dust is for nobody’s lungs.',
    },
  ),
  cause(
    'touched',
    'It touched a neighbour or a lid',
    'firing',
    'Two that touch are one when they melt.',
    {
      shares: { stuck: 8 },
      evidence: [says('scar', { side: 2, glaze: -1, none: -1, 'run-line': -2, wash: -1 })],
      do: ['More space', 'Wax and alumina on the gallery'],
    },
  ),
  cause(
    'thin',
    'The coat is too thin',
    'piece',
    'It takes up too much of the body, hides nothing, and dries out.',
    {
      shares: {
        dry: 25,
        matt: 18,
        gloss: 8,
        'copper-red': 20,
        celadon: 15,
        iron: 15,
        'chrome-tin': 14,
        underglaze: 30,
        'carbon-missing': 12,
        breaking: 20,
      },
      evidence: [...THIN, says('sg', { low: 0.4, high: -0.6 }), says('look', { pools: 0.5, pink: 0.2, liver: -1 }, 'copper-red')], // prettier-ignore
      tests: ['t-thin-thick: thick'],
      do: ['A longer dip, or a thicker bucket', 'One coat more; but it may run'],
    },
  ),
  cause(
    'few-coats',
    'Thin or uneven brushing',
    'piece',
    'Two strokes here and one there: the coat is a landscape.',
    {
      shares: { patchy: 35, underglaze: 5, 'orange-peel': 10, breaking: 8 },
      evidence: [
        says('applied', { 'few-coats': 1, brushed: 0.2, dipped: -2, sprayed: -0.6 }),
        says('pattern', { brush: 0.8, overlap: -0.6 }),
      ],
      tests: ['t-thin-thick: thick'],
      do: ['Three crossed coats, each dried'],
    },
  ),
  cause(
    'unstirred',
    'Not stirred, settled, or off its weight',
    'bucket',
    'Thin above and thick below: the last of a session dips in water.',
    {
      shares: { patchy: 20, 'too-thin': 40, dry: 5, mottling: 15 },
      evidence: [
        says('sg', { unstirred: 1, low: 0.8, high: 0, usual: -0.8 }),
        says('hand', { one: 0.3 }),
      ],
      tests: ['t-bucket'],
      do: ['Stir, sieve, measure', 'Stir again after every ten pieces'],
    },
  ),
  cause(
    'overlaps',
    'Overlaps, drips and unequal seconds',
    'piece',
    'Where the tongs held, where two dips met, where it ran down.',
    {
      shares: { patchy: 20 },
      evidence: [says('pattern', { overlap: 1, clouds: -0.6, brush: -0.8 }), says('where', { overlap: 0.5 })], // prettier-ignore
      do: ['One dip', 'Shave the drips'],
    },
  ),
  cause(
    'suction',
    'The bisque drinks unevenly',
    'body',
    'Thick and thin walls, sponged places and damp ones take up different coats.',
    {
      shares: { patchy: 12 },
      evidence: [
        says('pattern', { wall: 0.6, clouds: -0.2, brush: -0.6 }),
        says('wet-bisque', { yes: 0.5, no: -0.4 }),
      ],
      do: ['Dry it, and wait'],
    },
  ),
  cause(
    'shows-thickness',
    'A coating that shows every thickness',
    'coating',
    'Breaking glazes draw what the hand did.',
    {
      source: 'judgement',
      shares: { patchy: 12, breaking: 50 },
      evidence: RECIPE,
      tests: ['t-thin-thick: thick'],
      do: ['Dip it', 'Or enjoy it'],
    },
  ),
  cause(
    'one-side',
    'One side to flame or draught',
    'firing',
    'Heat and air that come from one side.',
    {
      shares: { patchy: 5 },
      evidence: [says('pattern', { 'one-side': 0.8, overlap: -0.6, brush: -0.6 }), says('place', { one: 0.6 })], // prettier-ignore
      do: ['Another place', 'Turn twins to see it'],
    },
  ),
  cause(
    'sg-high',
    'Thick bucket, or a long dip',
    'bucket',
    'More solid in the water, and more seconds in it.',
    {
      shares: { 'too-thick': 45 },
      evidence: [says('sg', { high: 1, usual: -0.8, gelled: -0.6, low: -1 })],
      tests: ['t-bucket'],
      do: ['Water, and fewer seconds'],
    },
  ),
  cause(
    'thirsty',
    'Very thirsty bisque',
    'body',
    'A cool bisque or a thick wall drinks a thick coat in no time.',
    {
      source: 'published',
      shares: { 'too-thick': 25 },
      evidence: [
        says('bisque-cone', { cooler: 0.6, hotter: -0.8, usual: -0.3 }),
        says('bisque-absorption', { thirsty: 0.2, tight: -0.8 }),
      ],
      do: ['A hotter bisque; but it drinks less everywhere', 'Damp the ware'],
    },
  ),
  cause(
    'gelled',
    'A gelled bucket',
    'bucket',
    'It stands like yoghurt at the right weight, and clings.',
    {
      shares: { 'too-thick': 20 },
      evidence: [says('sg', { gelled: 1, usual: -0.3, high: -0.3 })],
      tests: ['t-bucket'],
      do: ['A few drops of deflocculant; but too much settles like stone'],
    },
  ),
  cause(
    'tight-bisque',
    'Tight bisque',
    'body',
    'Fired too hot, it drinks too little to hold a coat.',
    {
      source: 'published',
      shares: { 'too-thin': 30 },
      evidence: [
        says('bisque-cone', { hotter: 0.7, cooler: -0.8, usual: -0.3 }),
        says('bisque-absorption', { tight: 0.8, thirsty: -0.8 }),
      ],
      do: ['A cooler bisque', 'Warm the pot'],
    },
  ),
  cause(
    'soaked',
    'Wet bisque, a second dip, or a thin soaked wall',
    'piece',
    'What is full of water takes no more.',
    {
      shares: { 'too-thin': 25 },
      evidence: [says('wet-bisque', { yes: 0.6, no: -0.6 }), says('dried-between', { no: 0.4 })],
      do: ['Wait a day', 'Inside one day, outside the next'],
    },
  ),
  cause(
    'knocked-off',
    'Salts, or a dried-out coat knocked off',
    'piece',
    'Dry glaze is dust that holds together.',
    {
      shares: { 'raw-flakes': 10 },
      evidence: [says('where', { rim: 0.5 }), says('handled', { knocked: 0.5, no: -0.4 })],
      do: ['A little gum', 'Handle it less'],
    },
  ),
  cause(
    'refire-heat',
    'The refire was too hot for the body',
    'firing',
    'A body near its top has nothing left for a second firing.',
    {
      shares: { 'refire-trouble': 25, bloat: 15 },
      needs: AFTER_FIRST,
      evidence: [
        ...REFIRE.map((one) => ({ ...one, of: ['bloat'] })),
        says('body-heat', { above: 0.8, upper: 0.2, lower: -0.8 }),
      ],
      tests: ['t-half-cone: cooler'],
      do: ['A cone or two lower', 'Avoid it'],
    },
  ),
];
