/** Slips, lines, the body itself, and what fell on it. */
import { BATCH, BODY, cause, PLACE, RECIPE, says, THICK, type Cause } from '../cause-types';

const OXIDISED_NOT = { air: ['reduction'] };

export const slips: readonly Cause[] = [
  cause(
    'slip-dry',
    'The slip went on too dry',
    'piece',
    'Dry clay does not shrink any more; the slip on it does.',
    {
      shares: { lifting: 42, 'slip-crackle': 25 },
      evidence: [says('slip-stage', { dry: 1, leather: -0.3, soft: -1 })],
      tests: ['t-stages'],
      do: ['Earlier and wetter'],
    },
  ),
  cause(
    'slip-shrinks',
    'Slip and body shrink unlike',
    'coating',
    'More: it cracks and curls up. Less: it buckles off at rims and edges.',
    {
      source: 'published',
      shares: { lifting: 22 },
      evidence: [
        ...RECIPE.map((one) => ({ ...one, weights: { everywhere: 0.6, sound: -0.8 } })),
        says('slip-shrinkage', { differs: 1, same: -1 }),
      ],
      tests: ['t-stages'],
      do: ['Calcined or plastic clay added, by shrinkage bars'],
    },
  ),
  cause('slip-thick', 'The slip is too thick', 'piece', 'A thick coat shrinks as a whole.', {
    shares: { lifting: 20, 'slip-crackle': 30 },
    evidence: THICK,
    tests: ['t-thin-thick: thin'],
    do: ['Thinner coats'],
  }),
  cause('slip-skin', 'Dust, salts or a burnished skin', 'piece', 'Nothing to hold on to.', {
    shares: { lifting: 8 },
    evidence: [
      says('where', { rim: 0.5 }),
      says('porous', { open: -0.6 }),
      says('white-before', { yes: 0.8 }),
    ],
    tests: ['t-wiped-half'],
    do: ['Scratch it, wipe it'],
  }),
  cause(
    'slip-raw',
    'The slip did not melt on; the glaze pulls it',
    'coating',
    'A refractory slip stays powder, and the glaze takes it along.',
    {
      shares: { lifting: 10 },
      evidence: [says('first-seen', { opening: 0.3, raw: -2 })],
      tests: ['t-without'],
      do: ['A little frit in it', 'Bisque it hotter'],
    },
  ),
  cause('slip-clay', 'A clay that shrinks much', 'coating', 'Ball clay and bentonite crack like mud.', {
    source: 'published',
    shares: { 'slip-crackle': 35 },
    evidence: [
      ...RECIPE.map((one) => ({ ...one, weights: { everywhere: 0.6, sound: -0.8 } })),
      says('slip-clay', { shrinking: 0.6, calcined: -1 }),
    ],
    tests: ['t-without'],
    do: ['Half of it calcined'],
  }),
  cause('slip-fast', 'Dried too fast', 'piece', 'The skin shrinks before what is under it.', {
    shares: { 'slip-crackle': 10 },
    evidence: [says('slip-dried', { fast: 0.6, covered: -0.6 })],
    do: ['Cover it'],
  }),
  cause(
    'pigment-fluxes',
    'The pigment itself is a flux',
    'coating',
    'Copper, cobalt and manganese melt their surroundings.',
    {
      source: 'published',
      shares: { bleed: 20 },
      evidence: [
        says('pigment', { copper: 0.6, bought: -0.4 }),
        says('recipe', { sound: 0.1, everywhere: -0.3 }),
      ],
      tests: ['t-without'],
      do: ['Cut it with kaolin', 'A stable pigment'],
    },
  ),
];

export const bodies: readonly Cause[] = [
  cause('uneven-drying', 'Dried unevenly', 'piece', 'What dries first shrinks first, and pulls.', {
    shares: { 'drying-crack': 40 },
    evidence: [
      says('drying', { uneven: 0.6, covered: -0.6 }),
      says('crack', { rim: 0.5, base: -1, joint: -0.8 }),
    ],
    do: ['Cover rims', 'Slowly, and turned over'],
  }),
  cause('joint-wet', 'Joined wet to dry', 'piece', 'Two ages of clay part where they meet.', {
    shares: { 'drying-crack': 30 },
    evidence: [says('crack', { joint: 1, rim: -1, base: -2, 'from-base': -1, wall: -1 })],
    do: ['Join at one stage', 'Score and slip'],
  }),
  cause(
    'base-crack',
    'The base was not compressed',
    'piece',
    'Thrown clay in the middle of a base lies loose, and parts in an S.',
    {
      shares: { 'drying-crack': 25 },
      evidence: [
        says('crack', { base: 2, rim: -2, joint: -2, wall: -1.5 }),
        says('made', { thrown: 0.2, slab: -2 }),
      ],
      do: ['Compress it', 'Thinner, dried upside down'],
    },
  ),
  cause('clay-shrinks', 'Thick, or very plastic clay', 'body', 'Much water leaves, and it has far to go.', {
    source: 'published',
    shares: { 'drying-crack': 15 },
    evidence: [...BODY, says('plastic', { much: 0.6, usual: -0.6 })],
    do: ['Grog', 'Thinner'],
  }),
  cause('lifted', 'Lifted by the rim', 'piece', 'A bone-dry rim bears nothing.', {
    shares: { 'handling-crack': 55 },
    evidence: [
      says('crack', { vee: 0.9, star: -0.8, joint: -0.8, 'from-base': -1 }),
      says('handled', { rim: 0.8, knocked: -0.4 }),
    ],
    do: ['Two hands under it'],
  }),
  cause('hidden-crack', 'A hidden drying crack opened', 'piece', 'It was there, and waited.', {
    shares: { 'handling-crack': 30 },
    evidence: [says('crack', { joint: 0.7, rim: 0.3, star: -0.8 }), says('handled', { no: 0.1, rim: -0.3 })],
    do: ['Ring it, wet the edge of dry clay and look'],
  }),
  cause('knocked', 'Knocked or pressed', 'piece', 'In packing, waxing or cleaning.', {
    shares: { 'handling-crack': 15 },
    evidence: [says('crack', { star: 0.9, vee: -0.5 }), says('handled', { knocked: 0.8 })],
    do: ['A padded board'],
  }),
  cause(
    'body-hot',
    'The body was fired above its range',
    'body',
    'It goes glassy, shuts its gas in, and softens.',
    {
      source: 'published',
      shares: { bloat: 40, slump: 35 },
      evidence: [says('body-heat', { above: 1, lower: -1, below: -1.5 })],
      tests: ['t-half-cone: cooler'],
      do: ['Cooler', 'Support it'],
    },
  ),
  cause(
    'carbon-left',
    'Carbon left by the bisque',
    'firing',
    'Fast, tight and thick: it did not burn out, and waits inside.',
    {
      source: 'published',
      shares: { bloat: 28, 'black-core': 60 },
      evidence: [
        says('bisque', { fast: 0.6, slow: -1 }),
        says('core', { dark: 0.8, even: -0.6 }, 'bloat'),
        says('air', { oxidation: 0.5 }, 'black-core'),
      ],
      tests: ['t-slow-bisque'],
      do: ['Slow from 600 to 900 °C, with air and space'],
    },
  ),
  cause(
    'reduced-core',
    'Reduced too early, too strongly',
    'firing',
    'Iron in the body is reduced, melts and shuts it.',
    {
      source: 'published',
      shares: { 'black-core': 12, bloat: 4 },
      needs: OXIDISED_NOT,
      evidence: [says('reduction', { early: 1, late: -0.8 }), says('air', { reduction: 0.6 })],
      do: ['Clean to 900 °C', 'A lighter reduction'],
    },
  ),
  cause('lump', 'Plaster, grit or trapped air', 'body', 'One lump is a thing, many are a heat.', {
    shares: { bloat: 12 },
    evidence: [says('count', { few: 0.6, many: -1 })],
    do: ['Wedge, sieve'],
  }),
  cause('dark-clay', 'An organic, dense, dark body', 'body', 'There is much to burn and no way out.', {
    source: 'published',
    shares: { 'black-core': 25 },
    evidence: [...BODY, says('ground', { dark: 0.4, white: -1 })],
    tests: ['t-two-bodies'],
    do: ['Thin walls, a slow bisque'],
  }),
  cause('span', 'A form that cannot hold itself', 'piece', 'Flat, wide, thin or top-heavy.', {
    shares: { slump: 30 },
    evidence: [says('form', { wide: 0.6, upright: -0.6 })],
    do: ['Support', 'Thicken'],
  }),
  cause('memory', 'Stress of making, drying or handles', 'piece', 'Clay remembers.', {
    shares: { slump: 25 },
    evidence: [says('warped-before', { warped: 2, straight: -1 }), says('made', { slab: 0.3 })],
    do: ['Dry flat, from both sides'],
  }),
  cause('uneven-heat', 'Uneven heat, shelf or glaze', 'firing', 'One side gets more.', {
    shares: { slump: 12 },
    evidence: [
      ...PLACE.map((one) => ({ ...one, weights: { one: 0.6, random: -0.2 } })),
      says('load', { shared: -0.6 }),
    ],
    do: ['A flat shelf', 'Glaze both sides'],
  }),
  cause('lime', 'Lime in the clay', 'body', 'Burnt lime slakes with the damp of the air and swells.', {
    source: 'published',
    shares: { 'lime-pop': 55 },
    evidence: [
      says('pop', { hard: 0.6, soft: -0.8, grit: -0.6 }),
      says('added', { local: 0.6, none: -0.2 }),
      says('plaster', { near: -0.2 }),
    ],
    do: ['Sieve it', 'Throw the lot away'],
  }),
  cause('plaster', 'Plaster in the clay', 'body', 'A chip of a bat or mould.', {
    source: 'published',
    shares: { 'lime-pop': 40 },
    evidence: [says('plaster', { near: 0.5, none: -1 }), says('pop', { soft: 0.7, hard: -0.6, grit: -0.8 })],
    do: ['Scrap of the plaster room in its own bin', 'New bats'],
  }),
  cause('shell', 'Shell or limestone in grog or sand', 'body', 'A grain of it fizzes in acid.', {
    source: 'published',
    shares: { 'lime-pop': 10 },
    evidence: [says('added', { sand: 0.6, none: -1 }), says('pop', { grit: 0.9, soft: -0.8 })],
    do: ['Another grog'],
  }),
];

export const specks: readonly Cause[] = [
  cause('wash-crumbs', 'Crumbs of wash or brick', 'kiln', 'They fell from above.', {
    shares: { spot: 45 },
    evidence: [
      says('spot-look', { gritty: 1, dark: -0.6, coat: -1 }),
      says('spot-faces', { top: 0.3, under: -1 }),
    ],
    do: ['Brush and vacuum the shelves'],
  }),
  cause(
    'scale',
    'Scale of elements, iron or a rod',
    'kiln',
    'Dark, beneath an element or a controller’s rod.',
    {
      shares: { spot: 20 },
      evidence: [says('spot-look', { dark: 0.6, gritty: -1, coat: -1 }), says('place', { one: 0.4 })],
      do: ['Vacuum the grooves, when it is cold and off'],
      caution: 'Off at the isolator before anybody reaches in.',
    },
  ),
  cause('drip', 'A drip from above', 'firing', 'The coat of the piece on the shelf above.', {
    shares: { spot: 20 },
    evidence: [says('spot-look', { coat: 1, gritty: -1, dark: -0.4 }), says('spot-faces', { under: -1 })],
    do: ['A waster above'],
  }),
  cause('bucket-dirt', 'Dirt in the bucket or the body', 'bucket', 'It is everywhere.', {
    shares: { spot: 15 },
    evidence: [...BATCH, says('spot-faces', { all: 0.4, under: 0.4, top: -0.5 })],
    do: ['Sieve at 80 mesh'],
  }),
  cause(
    'salts',
    'Soluble salts of the clay',
    'body',
    'They travel to the edges with the water and stay there, white.',
    {
      source: 'published',
      shares: { scum: 50 },
      evidence: [says('white-before', { yes: 2, no: -1 }), says('red-body', { yes: 0.5, no: -0.3 })],
      do: ['Slow, even drying', 'Barium carbonate, by the supplier'],
      caution: 'Barium carbonate is poison.',
    },
  ),
  cause(
    'soluble-glaze',
    'Soluble soda or boron of the glaze',
    'bucket',
    'It is in the water, not in the powder, and dries at the edges.',
    {
      source: 'published',
      shares: { scum: 28, halo: 12 },
      evidence: [says('crust', { yes: 0.6, no: -0.6 }), says('soda', { rich: 0.5, low: -0.5 })],
      tests: ['t-batch'],
      do: ['A frit instead', 'Use it fresh'],
    },
  ),
  cause('last-slop', 'The last of the slop, drips, hard water', 'piece', 'It dried where it hung.', {
    shares: { scum: 15 },
    evidence: [says('where', { foot: 0.7, rim: -0.3, whole: -0.6 })],
    do: ['Clean water, no drips'],
  }),
];
