/**
 * What somebody can come with: the faults that are on record as signs, and complaints of colour, coat, slip,
 * body and use that need a name of their own before their causes can be told apart. The looks are ours; what
 * tells neighbours apart is common practice, no source.
 */
export type Complaint = {
  id: string;
  name: string;
  /** The family of look-alikes it stands in. */
  group: Group;
  /** The sign that it is on record as; a sign may stand for several complaints. */
  sign: string | null;
  look: string;
  /** What can hurt: stands above everything else. */
  caution?: string;
  /** Only where there is a flame to reduce with. */
  fuel?: true;
};

export const GROUPS = [
  'Holes and bubbles',
  'Cracks and slivers in the glaze',
  'The coat moved',
  'Surface and melt',
  'Colour',
  'Slips and lines',
  'The body',
  'Specks, scum and smoke',
  'In use',
  'Before the firing, and again after it',
  'Effects that nobody asked for',
] as const;
export type Group = (typeof GROUPS)[number];

const EDGES = 'Edges can be razor sharp: gloves and safety glasses; grind wet.';
const WET = 'Wet gets into an open body through it: hard to clean, and not for food on such a body.';
const SLIVERS = 'Sharp slivers come off: not for food or drink. Hold back the whole lot and bin what sheds.';
const LAB =
  'Out of use for food until a laboratory has passed this glaze on this body from this firing. Home tests only find bad ones.';
const CO = 'Reduction makes carbon monoxide: alarm, air, and nobody sleeping above.';
const METALS = 'Strong, dry or metallic colours are not for food; manganese and copper fume: vent.';
const PARTS = 'May part in the hand or in use: not for heat or load. Eyes covered when it is broken up.';
const POPS = 'Throws sharp chips days or weeks later: hold back the whole lot.';

const of = (
  group: Group,
  list: readonly (readonly [
    id: string,
    name: string,
    sign: string | null,
    look: string,
    caution?: string | null,
    fuel?: true,
  ])[],
): Complaint[] =>
  list.map(([id, name, sign, look, caution, fuel]) => ({
    id,
    name,
    group,
    sign,
    look,
    ...(caution ? { caution } : {}),
    ...(fuel ? { fuel } : {}),
  }));

export const COMPLAINTS: readonly Complaint[] = [
  ...of('Holes and bubbles', [
    ['pinhole', 'Pinholes', 'pinhole', 'fine holes, under a millimetre, body at the bottom', WET],
    ['pit', 'Pits', 'pit', 'shallow open dimples, rounded, glaze at the bottom'],
    ['blister', 'Blisters', 'blister', 'bubbles standing above the surface', EDGES],
    ['crater', 'Craters', 'crater', 'burst bubbles with a raised ring', EDGES],
    ['cloudy', 'Cloudy clear', 'cloudy', 'a clear that is milky'],
    ['boron-blue', 'Blue haze in a clear', 'cloudy', 'a blue or milky-blue veil, worst where thick'],
  ]),
  ...of('Cracks and slivers in the glaze', [
    [
      'crazing',
      'Crazing',
      'crazing',
      'a net of fine cracks in the glaze alone',
      'Weaker than it looks; on an open body not for food or drink.',
    ],
    ['shivering', 'Shivering', 'shivering', 'slivers lift from rims, edges and handles', SLIVERS],
  ]),
  ...of('The coat moved', [
    [
      'crawling',
      'Crawling',
      'crawling',
      'drawn back into islands with thick rolled edges, bare body between',
    ],
    ['running', 'Running', 'running', 'flowed down, thick at the foot'],
    ['stuck', 'Stuck or plucked', 'stuck', 'fused to the shelf, or chips torn from the foot', EDGES],
  ]),
  ...of('Surface and melt', [
    ['dry', 'Dry, underfired', 'dry', 'dry and dull, not melted through', METALS],
    ['matt', 'Matt instead of gloss', 'off-colour', 'satin or matt where a gloss was meant'],
    ['gloss', 'Gloss instead of matt', 'off-colour', 'shiny where a matt was meant'],
    ['patchy', 'Patchy, streaked', 'patchy', 'streaks, bare or thin places'],
  ]),
  ...of('Colour', [
    [
      'copper-red',
      'Copper red lost',
      'off-colour',
      'clear, green, pink or liver where red was meant',
      CO,
      true,
    ],
    ['celadon', 'Celadon off', 'off-colour', 'yellow, olive or grey instead of blue-green', CO, true],
    ['iron', 'Iron glaze off', 'off-colour', 'black, brown, rust or amber at the wrong place'],
    ['chrome-tin', 'Chrome-tin pink off', 'off-colour', 'grey, brown or pale where pink was meant'],
    ['chrome-brown', 'Chrome green gone brown', 'off-colour', 'brown where green was meant'],
    ['cobalt', 'Cobalt off', 'off-colour', 'black, violet, green or dull where blue was meant'],
    ['underglaze', 'Underglaze gone', 'off-colour', 'a colour that faded, vanished or is hidden'],
    ['manganese', 'Manganese off', 'off-colour', 'brown, foamed or metallic', METALS],
    ['blush', 'Pink blush', 'blush', 'a pink flush on a white'],
  ]),
  ...of('Slips and lines', [
    ['lifting', 'Slip lifting', 'lifting', 'slip curls or flakes off the clay'],
    ['slip-crackle', 'Slip crackle', 'lifting', 'slip broken up like dried mud, still fast'],
    ['bleed', 'Bleeding lines', 'bleed', 'lines spread at their edges'],
  ]),
  ...of('The body', [
    ['dunt', 'Dunting', 'dunt', 'one clean crack through pot and glaze', PARTS],
    ['drying-crack', 'Crack from drying', null, 'a crack there before the glaze, its edges glazed'],
    ['handling-crack', 'Crack from handling', null, 'a crack made between drying and the kiln'],
    ['bloat', 'Bloating', 'bloat', 'the body itself swollen in lumps', PARTS],
    ['slump', 'Slumping, warping', 'bloat', 'sagged, oval or bent out of its form'],
    ['black-core', 'Black core', null, 'grey or black in the middle of a broken wall', PARTS],
    ['lime-pop', 'Lime pops', null, 'bits of body blown off, a speck at the bottom', POPS],
  ]),
  ...of('Specks, scum and smoke', [
    ['spot', 'Kiln spots', 'spot', 'a crumb, a speck or a drip on the glaze'],
    ['scum', 'Scum', null, 'white bloom or crust at edges and rims'],
    ['carbon-missing', 'Carbon trap missing', 'off-colour', 'clean where smoke was wanted', CO, true],
    ['smoke', 'Smoke that nobody wanted', 'smoke', 'grey or black caught in the glaze', CO],
  ]),
  ...of('In use', [
    ['cutlery', 'Cutlery marks', null, 'grey lines where metal rubbed'],
    ['staining', 'Staining', null, 'dark lines, dots or patches after use'],
    ['leaching', 'Colour lost, acid marks', null, 'dull or pale where food or acid stood', LAB],
  ]),
  ...of('Before the firing, and again after it', [
    [
      'raw-flakes',
      'Raw glaze flakes off',
      null,
      'cracks or flakes before it was fired',
      'Loose flakes stick to shelves and neighbours.',
    ],
    ['too-thick', 'Coat too thick', null, 'thicker than was meant'],
    ['too-thin', 'Coat too thin', null, 'thinner than was meant'],
    [
      'refire-trouble',
      'Worse after a refire',
      null,
      'bloated, crawled, ran, blistered or cracked when fired again',
      'Damp ware explodes: dry through, and slow to 120 °C. Refire on a waster.',
    ],
  ]),
  ...of('Effects that nobody asked for', [
    ['orange-peel', 'Orange peel', 'orange-peel', 'an even ripple with no holes'],
    ['crystals', 'Crystals', 'crystals', 'crystals seen with the bare eye'],
    ['mottling', 'Mottling', 'mottling', 'a pattern of two tones throughout'],
    ['halo', 'Halo', 'halo', 'a ring of another tone round an edge or drop'],
    ['froth', 'Froth', 'froth', 'a foam set hard', EDGES],
    ['breaking', 'Breaks where it should not', 'breaking', 'another tone over edges and texture'],
  ]),
];

const BY_ID = new Map(COMPLAINTS.map((one) => [one.id, one]));
export const complaintOf = (id: string): Complaint | undefined => BY_ID.get(id);

/** What a sign on record can be a complaint of: itself, or what it stands for. */
export const complaintsOf = (sign: string): Complaint[] => COMPLAINTS.filter((one) => one.sign === sign);
