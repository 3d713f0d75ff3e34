/**
 * What can be seen on a fired surface: faults and effects, each with one short rule for
 * telling it from its look-alikes. Common practice, no source; the words are ours.
 * `usually` is how makers mostly take it; whether it is wanted on a piece is theirs to say.
 */
export type Sign = {
  id: string;
  name: string;
  /** What a piece is that shows it: "crazed". */
  is: string;
  usually: 'fault' | 'effect';
  look: string;
  /** Something that can hurt: shown where the sign is chosen. */
  caution?: string;
};

const SHARP = 'Edges can be razor sharp: gloves and safety glasses.';
const FOOD = 'Not for food or drink.';

export const SIGNS: readonly Sign[] = [
  {
    id: 'pinhole',
    name: 'Pinholes',
    is: 'pinholed',
    usually: 'fault',
    look: 'fine holes with smooth edges, body at the bottom',
  },
  {
    id: 'pit',
    name: 'Pits',
    is: 'pitted',
    usually: 'fault',
    look: 'shallow open dimples, glossy inside, glaze at the bottom',
  },
  {
    id: 'blister',
    name: 'Blisters',
    is: 'blistered',
    usually: 'fault',
    look: 'bubbles standing above the surface, closed or broken',
    caution: SHARP,
  },
  {
    id: 'crater',
    name: 'Craters',
    is: 'cratered',
    usually: 'fault',
    look: 'burst blisters with a raised ring',
    caution: SHARP,
  },
  {
    id: 'crazing',
    name: 'Crazing',
    is: 'crazed',
    usually: 'fault',
    look: 'a network of fine cracks in the glaze',
    caution: 'A crazed glaze weakens ware and holds dirt in an open body.',
  },
  {
    id: 'shivering',
    name: 'Shivering',
    is: 'shivering',
    usually: 'fault',
    look: 'slivers lifting from edges and rims',
    caution: `${FOOD} ${SHARP}`,
  },
  {
    id: 'crawling',
    name: 'Crawling',
    is: 'crawled',
    usually: 'fault',
    look: 'drawn back into islands, thick rolled edges, bare body between',
  },
  {
    id: 'running',
    name: 'Running',
    is: 'ran',
    usually: 'fault',
    look: 'flowed down, thick at the foot',
  },
  {
    id: 'stuck',
    name: 'Stuck',
    is: 'stuck',
    usually: 'fault',
    look: 'fused to the shelf, or plucked where it was',
    caution: SHARP,
  },
  {
    id: 'dry',
    name: 'Underfired',
    is: 'underfired',
    usually: 'fault',
    look: 'dry, dull, not melted through',
  },
  {
    id: 'patchy',
    name: 'Patchy',
    is: 'patchy',
    usually: 'fault',
    look: 'streaks, bare or thin places',
  },
  { id: 'cloudy', name: 'Cloudy', is: 'cloudy', usually: 'fault', look: 'a clear that is milky' },
  {
    id: 'off-colour',
    name: 'Colour off',
    is: 'off colour',
    usually: 'fault',
    look: 'not the colour this stack gives',
  },
  {
    id: 'blush',
    name: 'Pink blush',
    is: 'blushed',
    usually: 'fault',
    look: 'a pink flush from a chrome-bearing neighbour',
  },
  {
    id: 'lifting',
    name: 'Slip lifting',
    is: 'slip lifting',
    usually: 'fault',
    look: 'slip curling or flaking off the clay',
  },
  {
    id: 'bleed',
    name: 'Bleeding',
    is: 'bled',
    usually: 'fault',
    look: 'lines of colour spread at their edges',
  },
  {
    id: 'dunt',
    name: 'Dunting',
    is: 'dunted',
    usually: 'fault',
    look: 'a clean crack through pot and glaze',
    caution: SHARP,
  },
  {
    id: 'bloat',
    name: 'Bloating',
    is: 'bloated',
    usually: 'fault',
    look: 'the body itself swollen, slumped or warped',
  },
  {
    id: 'spot',
    name: 'Kiln spot',
    is: 'spotted',
    usually: 'fault',
    look: 'a crumb or drip from above',
  },
  {
    id: 'orange-peel',
    name: 'Orange peel',
    is: 'orange peel',
    usually: 'effect',
    look: 'an even ripple with no holes',
  },
  {
    id: 'crystals',
    name: 'Crystals',
    is: 'crystals',
    usually: 'effect',
    look: 'crystals seen with the bare eye',
  },
  {
    id: 'mottling',
    name: 'Mottling',
    is: 'mottled',
    usually: 'effect',
    look: 'a pattern of two tones throughout',
  },
  {
    id: 'halo',
    name: 'Halo',
    is: 'haloed',
    usually: 'effect',
    look: 'a ring of another tone round an edge or drop',
  },
  {
    id: 'froth',
    name: 'Froth',
    is: 'frothed',
    usually: 'effect',
    look: 'a foam set hard',
    caution: SHARP,
  },
  {
    id: 'breaking',
    name: 'Breaks',
    is: 'breaks',
    usually: 'effect',
    look: 'another tone over edges and texture',
  },
  {
    id: 'smoke',
    name: 'Carbon trap',
    is: 'smoked',
    usually: 'effect',
    look: 'grey or black smoke caught in the glaze',
  },
];

/** Signs that can mean glaze on the shelf. */
export const ON_THE_SHELF: readonly string[] = ['stuck', 'running'];

/** Does what was seen mean that the shelf beneath has to be ground? */
export const gluesShelf = ({ sign, severity }: { sign: string; severity: number }): boolean =>
  sign === 'stuck' || (sign === 'running' && severity === 3);

const BY_ID = new Map(SIGNS.map((sign) => [sign.id, sign]));

/** The sign of an id; undefined for an unknown one. */
export const signOf = (id: string): Sign | undefined => BY_ID.get(id);

/** Finds a sign by its name or id as people type it: "pinholes", "Pin hole", "crazed". */
export function findSign(text: string): Sign | undefined {
  const wanted = text.toLowerCase().replace(/[^a-z]/g, '');
  const alias: Record<string, string> = {
    crazed: 'crazing',
    pitting: 'pit',
    blistering: 'blister',
    pinholing: 'pinhole',
    ran: 'running',
    runs: 'running',
    crawled: 'crawling',
    underfired: 'dry',
    flaking: 'lifting',
    plucked: 'stuck',
    bubbles: 'blister',
  };
  const id = alias[wanted];
  if (id !== undefined) return BY_ID.get(id);
  const plain = (value: string): string =>
    value
      .toLowerCase()
      .replace(/[^a-z]/g, '')
      .replace(/s$/, '');
  return SIGNS.find((sign) => plain(sign.id) === plain(text) || plain(sign.name) === plain(text));
}

export const SEVERITIES = ['slight', 'marked', 'ruinous'] as const;
export const SURFACES = ['gloss', 'satin', 'matt', 'dry'] as const;
export type Surface = (typeof SURFACES)[number];
export const OPACITIES = ['transparent', 'translucent', 'opaque'] as const;
export type Opacity = (typeof OPACITIES)[number];
export const MEETINGS = ['blend', 'dominate', 'separate'] as const;
export type Meeting = (typeof MEETINGS)[number];
export const VERDICTS = [
  'keep',
  'sell',
  'reserve',
  'give',
  'second',
  'refire',
  'grind',
  'study',
  'discard',
] as const;
export type Verdict = (typeof VERDICTS)[number];
export const ATMOSPHERES = [
  'oxidation',
  'neutral',
  // Reduction of which nobody said how much.
  'reduction',
  'light reduction',
  'moderate reduction',
  'heavy reduction',
  'unknown',
] as const;
export type Atmosphere = (typeof ATMOSPHERES)[number];
