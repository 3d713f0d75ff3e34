/** Surface and melt: dry, matt, glossy, marked. */
import { cause, COLD, LOAD, PLACE, RECIPE, says, UNDER, type Cause } from '../cause-types';

export const melt: readonly Cause[] = [
  cause(
    'cold',
    'Too little heat reached this place',
    'firing',
    'Not melted through: silica stays undissolved, the surface stays dull, bubbles stay in.',
    {
      source: 'published',
      shares: {
        crazing: 8,
        pinhole: 12,
        cloudy: 12,
        dry: 35,
        matt: 25,
        cutlery: 25,
        leaching: 20,
        iron: 13,
        'orange-peel': 20,
      },
      evidence: [
        ...COLD,
        ...LOAD.map((one) => ({ ...one, weights: { shared: 0.6, usual: -0.7 } })),
        ...PLACE.map((one) => ({ ...one, weights: { one: 0.5, random: -0.2 } })),
        says('surface', { satin: 0.3, dry: 0.6, gloss: -0.8 }, 'crazing', 'pinhole', 'cloudy'),
        says('moved', { still: 0.2, little: -0.5, ran: -1 }),
        says('lens', { grains: 0.6 }),
      ],
      tests: ['t-half-cone: hotter'],
      do: ['To its cone, with a hold; but others may run', 'A hotter place'],
    },
  ),
  cause(
    'hotter-glaze',
    'A glaze for a hotter cone',
    'coating',
    'It was never meant to melt here.',
    {
      source: 'published',
      shares: { dry: 15 },
      evidence: [
        says('range', { hotter: 1, fits: -0.8 }),
        says('before', { good: -2, never: 0.2 }),
      ],
      tests: ['t-half-cone: hotter'],
      do: ['Another recipe', 'More flux, by a target'],
    },
  ),
  cause(
    'neat-oxide',
    'Oxide neat, or too much pigment',
    'piece',
    'Chrome, rutile and (in oxidation) iron stay dry; copper, cobalt and manganese melt in.',
    {
      shares: { dry: 8 },
      evidence: [...UNDER, says('where', { hollows: 0.5, whole: -0.4 })],
      tests: ['t-without'],
      do: ['Cut it with some of the glaze', 'Thinner'],
    },
  ),
  cause(
    'slow-cooling',
    'Slow cooling grew crystals',
    'firing',
    'Between 1100 and 900 °C lime, magnesia, zinc and titania find time to crystallise.',
    {
      source: 'published',
      shares: { matt: 20, cloudy: 10, 'boron-blue': 12, crystals: 45 },
      evidence: [
        says('cooling', { slower: 0.6, faster: -1, usual: -0.2 }),
        says('lens', { crystals: 1, bubbles: -0.4, nothing: -0.2 }, 'matt', 'cloudy'),
      ],
      tests: ['t-two-coolings'],
      do: ['Faster down to 900 °C; but mind thick ware', 'A little more alumina'],
    },
  ),
  cause(
    'matt-recipe',
    'A recipe near the matt field',
    'coating',
    'Little silica to its alumina: a small step makes it matt.',
    {
      source: 'published',
      shares: { matt: 15, crystals: 12 },
      evidence: [
        says('ratio', { matt: 0.6, other: -0.5 }),
        ...RECIPE.map((one) => ({ ...one, weights: { everywhere: 0.6, sound: -1 } })),
        says('before', { good: -1 }),
      ],
      tests: ['t-ladder'],
      do: ['More silica; but it melts later'],
    },
  ),
  cause(
    'overloaded',
    'Too much opacifier or colour',
    'coating',
    'What the melt cannot hold comes out again as crystals or a skin.',
    {
      source: 'published',
      shares: { matt: 8, crystals: 30 },
      evidence: [says('opacifier', { high: 0.6, low: -0.6 })],
      tests: ['t-without'],
      do: ['Half of it'],
    },
  ),
  cause('worn', 'Worn or etched later', 'piece', 'It was glossy when it came out.', {
    source: 'published',
    shares: { matt: 5 },
    needs: { 'first-seen': ['days', 'weeks', 'years', 'use'] },
    evidence: [
      says('first-seen', { opening: -2, weeks: 0.8, years: 1.3, use: 1.3 }),
      says('dishwasher', { many: 0.6, new: -0.6 }),
    ],
    do: ['Not for the dishwasher', 'A harder recipe'],
  }),
  cause(
    'fast-cooling',
    'Cooled too fast to turn matt',
    'firing',
    'A light load falls through the degrees where its crystals grow.',
    {
      source: 'published',
      shares: { gloss: 35 },
      evidence: [says('cooling', { faster: 0.5, slower: -1, usual: -0.3 })],
      tests: ['t-two-coolings'],
      do: ['Slow from 1100 to 900 °C', 'A fuller kiln'],
    },
  ),
  cause(
    'matt-by-cold',
    'It only ever was matt because it did not melt',
    'coating',
    'An unmelted surface looks matt until it meets its heat.',
    {
      source: 'published',
      shares: { gloss: 12 },
      evidence: [says('lens', { crystals: -1, grains: 0.4 }), says('heat', { upper: 0.2, above: 0.5, lower: -0.5 })], // prettier-ignore
      tests: ['t-half-cone: cooler'],
      do: ['A true matt recipe'],
    },
  ),
  cause(
    'dissolved-by-coat',
    'Another coat dissolved it',
    'piece',
    'Gloss feeds silica and flux into a matt.',
    {
      shares: { gloss: 12, mottling: 15 },
      evidence: [says('stack', { 'together-thick': 1.5, together: 0.8, alone: -2, single: -2 })],
      tests: ['t-order'],
      do: ['Alone, or thicker'],
    },
  ),
  cause(
    'micro-rough',
    'A hard, finely rough surface files metal off',
    'coating',
    'Zircon and matt crystals stand out: the fork leaves itself behind.',
    {
      source: 'published',
      shares: { cutlery: 60 },
      evidence: [
        says('metal', { cleans: 1, groove: -1, dull: -0.6 }),
        says('surface', { matt: 0.5, satin: 0.2, gloss: -0.4 }),
        says('stiff', { yes: 0.3 }),
      ],
      do: ['A smoother recipe, less zircon', 'Faster cooling'],
    },
  ),
  cause(
    'attacked',
    'Attacked in use',
    'piece',
    'Alkali of dishwashers and acid of food take the glass apart.',
    {
      source: 'published',
      shares: { cutlery: 12 },
      evidence: [says('dishwasher', { many: 0.8, new: -0.8 }), says('metal', { dull: 0.5, cleans: -0.5 })], // prettier-ignore
      do: ['Another glaze for tableware'],
    },
  ),
  cause(
    'stain-cracks',
    'Cracks or pinholes over an open body',
    'body',
    'Tea and fat go in and do not come out.',
    {
      source: 'published',
      shares: { staining: 60 },
      evidence: [
        says('stain', { lines: 1, broad: -0.8, ring: -0.3 }),
        says('absorption', { tight: -0.8, open: 0.3, porous: 0.4 }),
      ],
      do: ['Mend the fit', 'A tighter body'],
    },
  ),
  cause('dirt-holder', 'A dry matt holds dirt', 'coating', 'Nothing is broken: it is rough.', {
    source: 'published',
    shares: { staining: 30 },
    evidence: [
      says('surface', { dry: 0.7, matt: 0.5, gloss: -1 }),
      says('stain', { broad: 0.1, lines: -1 }),
    ],
    do: ['A smoother recipe'],
  }),
  cause(
    'foot-drinks',
    'The bare foot or rim drinks',
    'body',
    'An open body takes water up from below.',
    {
      source: 'published',
      shares: { staining: 15 },
      evidence: [says('stain', { ring: 0.7, lines: -0.6 }), says('absorption', { tight: -1, porous: 0.3 })], // prettier-ignore
      do: ['A tighter body', 'Glaze or seal the foot; but then it needs stilts'],
    },
  ),
  cause(
    'unbalanced',
    'Too little silica or alumina',
    'coating',
    'A glass that melts too easily is taken apart as easily.',
    {
      source: 'published',
      shares: { leaching: 45 },
      evidence: [says('silica', { low: 0.6, enough: -0.6 })],
      tests: ['t-ladder'],
      do: ['Another recipe, and a laboratory’s test'],
      caution: 'Out of use for food until a laboratory has passed it.',
    },
  ),
  cause(
    'heavy-oxide',
    'More colour than the glass can hold',
    'coating',
    'What is not dissolved lies on the skin and comes off.',
    {
      source: 'published',
      shares: { leaching: 35 },
      evidence: [says('colourant', { heavy: 0.6, little: -0.6 }), says('surface', { matt: 0.2 })],
      tests: ['t-without'],
      do: ['Half of it', 'Not on ware'],
      caution: 'Copper, manganese, barium and lithium are not for food surfaces.',
    },
  ),
];
