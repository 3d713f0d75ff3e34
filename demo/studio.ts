/** The demo studio: Weighbridge Yard, invented from end to end. */
import { UNMEASURED } from '../src/core/load';
import type { Role } from '../src/core/studio';
import type { BodyFields } from '../src/data/bodies';
import type { CoatingFields } from '../src/data/coatings';
import type { KilnFields } from '../src/data/kilns';

export const STUDIO = {
  name: 'Weighbridge Yard Ceramics Workshop',
  timeZone: 'Europe/London',
  temperatureUnit: 'C' as const,
  lengthUnit: 'mm' as const,
  massUnit: 'g' as const,
  crackAtC: 100,
  unloadAtC: 40,
};

export const DEMO_PASSWORD = 'crane-on-the-quay';

export const PEOPLE: readonly { name: string; login: string; role: Role }[] = [
  { name: 'Iben Raskov', login: 'iben', role: 'technician' },
  { name: 'Tomasz Wieland', login: 'tomasz', role: 'teacher' },
  ...[
    'Noor Haddad',
    'Pilar Quist',
    'Ren Arata',
    'Effie Lund',
    'Odile Marsh',
    'Jonas Tveit',
    'Amara Bellweather',
    'Kit Sandoval',
    'Mirela Dow',
    'Hugo Lindqvist',
    'Saffron Okello',
    'Bram Teller',
  ].map((name) => ({ name, login: name.split(' ')[0]!.toLowerCase(), role: 'student' as const })),
];

const body = (name: string, rest: Partial<BodyFields>): BodyFields => ({
  name,
  kind: 'stoneware',
  coneLow: '5',
  coneHigh: '7',
  ground: 'light',
  ironBearing: false,
  colour: '#d8cfbf',
  notes: '',
  cautions: '',
  traits: [],
  ...rest,
});

export const BODIES: readonly BodyFields[] = [
  body('Saltbox', { colour: '#ddd5c6', notes: 'Light stoneware, the workshop’s everyday body.' }),
  body('Drift', { colour: '#c3ab88', ground: 'mid', notes: 'Buff with iron speckle.' }),
  body('Peat', {
    colour: '#5a4034',
    coneLow: '4',
    coneHigh: '6',
    ground: 'dark',
    ironBearing: true,
    notes: 'Dark and iron-bearing; bloats past cone 6.',
    cautions: 'Not past cone 6: it bloats and sticks.',
  }),
  body('Eider', {
    colour: '#eeeae2',
    kind: 'porcelain',
    coneLow: '6',
    coneHigh: '6',
    ground: 'porcelain',
    notes: 'Porcelain. Glazes made for Saltbox tend to craze on it.',
  }),
  body('Loft', {
    colour: '#e2dacb',
    coneLow: '9',
    coneHigh: '10',
    notes: 'White stoneware for Gable.',
  }),
  body('Gantry', {
    colour: '#7b5a45',
    coneLow: '9',
    coneHigh: '10',
    ground: 'dark',
    ironBearing: true,
    notes: 'Iron-bearing stoneware for Gable; toasts in reduction.',
  }),
  body('Furrow', {
    colour: '#b4633f',
    kind: 'earthenware',
    coneLow: '04',
    coneHigh: '02',
    ground: 'mid',
    ironBearing: true,
    notes: 'Red earthenware.',
  }),
  body('Quay', {
    colour: '#8a6f57',
    kind: 'other',
    coneLow: null,
    coneHigh: null,
    ground: 'mid',
    ironBearing: true,
    notes: 'Dug at the old ferry steps; under test.',
    cautions: 'Unknown heat: always on a waster.',
    traits: ['unproven'],
  }),
];

const coating = (name: string, rest: Partial<CoatingFields>): CoatingFields => ({
  name,
  kind: 'glaze',
  coneLow: '5',
  coneHigh: '7',
  colour: '#888888',
  atmosphereNotes: '',
  whatItDoes: '',
  cautions: '',
  traits: [],
  ...rest,
});

export const COATINGS: readonly CoatingFields[] = [
  coating('Yard Clear', {
    colour: '#cfd3cf',
    whatItDoes: 'A bright clear. Milky where thick.',
    cautions: 'Crazes on Eider: no tableware there.',
  }),
  coating('Tarn', {
    coneHigh: '10',
    colour: '#9db8ab',
    whatItDoes: 'Pale celadon that pools in carving.',
    atmosphereNotes: 'Grey-green in oxidation, blue-green in reduction.',
  }),
  coating('Pitch', {
    coneHigh: '10',
    colour: '#2c2624',
    whatItDoes: 'Iron black that breaks brown over edges.',
  }),
  coating('Gull', {
    colour: '#f0eee8',
    whatItDoes: 'Tin white, opaque and quiet.',
    cautions: 'Takes up chrome vapour: keep away from Rosehip.',
    traits: ['tin white'],
  }),
  coating('Ember', {
    coneLow: '6',
    coneHigh: '10',
    colour: '#7d3a34',
    whatItDoes: 'Copper with a little silicon carbide: red flashes, green where thin.',
    atmosphereNotes: 'Redder in reduction.',
    cautions: 'Copper: not for food. Silicon carbide dust: fitted respirator.',
  }),
  coating('Slack Tide', {
    colour: '#5f7fa3',
    whatItDoes: 'Fluid rutile blue; needs a catch at the foot.',
    cautions: 'Runs. Keep off the lowest third.',
    traits: ['fluid'],
  }),
  coating('Snowmelt', { colour: '#d9dcd6', whatItDoes: 'Magnesia matt, soft as soap.' }),
  coating('Barnacle', {
    colour: '#a9a494',
    whatItDoes: 'Crater glaze: froths by intent.',
    cautions: 'Sharp craters; silicon carbide dust. Never inside a pot for use.',
  }),
  coating('Rosehip', {
    colour: '#b76e7e',
    whatItDoes: 'Chrome-tin pink.',
    atmosphereNotes: 'Oxidation only; grey in reduction.',
    cautions: 'Chrome: gloves when mixing.',
    traits: ['chrome', 'oxidation only'],
  }),
  coating('Ash Lane', {
    coneLow: '9',
    coneHigh: '10',
    colour: '#8d8a5c',
    whatItDoes: 'Wood ash in rivulets.',
  }),
  coating('Cinder', {
    coneLow: '9',
    coneHigh: '10',
    colour: '#b48a6a',
    whatItDoes: 'Soda shino: put it on first, never over another.',
  }),
  coating('Foxglove', { colour: '#8e7196', whatItDoes: 'Test recipe for a quiet violet.' }),
  coating('Hull Wash', {
    kind: 'wash',
    coneHigh: '10',
    colour: '#2f4473',
    whatItDoes: 'Cobalt in water, for hollows and lines.',
    cautions: 'Cobalt: gloves.',
  }),
  coating('Rust Wash', {
    kind: 'wash',
    coneHigh: '10',
    colour: '#6b3b22',
    whatItDoes: 'Iron in water, wiped back into texture.',
  }),
  coating('Damson', {
    kind: 'underglaze',
    colour: '#4b2f52',
    whatItDoes: 'Plum underglaze; lost under opaque whites.',
  }),
  coating('Moss', { kind: 'underglaze', colour: '#566b3a', whatItDoes: 'Green underglaze.' }),
  coating('Chalk Slip', {
    kind: 'slip',
    coneLow: '04',
    coneHigh: '10',
    colour: '#ece7dc',
    whatItDoes: 'White slip for leather-hard clay.',
  }),
  coating('Soot Slip', {
    kind: 'slip',
    coneLow: '04',
    coneHigh: '10',
    colour: '#352e2a',
    whatItDoes: 'Black slip for leather-hard clay.',
  }),
];

export const KILNS: readonly KilnFields[] = [
  {
    name: 'Marta',
    energy: 'electric',
    control: 'controller',
    volumeL: 200,
    shelves: 5,
    ...UNMEASURED,
    shelfShape: 'rectangle',
    shelfWidthMm: 480,
    shelfDepthMm: 480,
    chamberMm: 820,
    thermocoupleXMm: 0,
    thermocoupleYMm: -235,
    powerKw: 15,
    unitPrice: 0.28,
    climbRate: 220,
    latestHours: 14,
    notes: 'Front-loader. Bottom shelf runs a touch cool.',
  },
  {
    name: 'Pip',
    energy: 'electric',
    control: 'shut-off',
    volumeL: 45,
    shelves: 3,
    ...UNMEASURED,
    shelfShape: 'round',
    shelfWidthMm: 380,
    chamberMm: 400,
    powerKw: 4.5,
    unitPrice: 0.28,
    climbRate: 160,
    latestHours: 11,
    notes: 'Old top-loader with a mechanical shut-off; set a second timer.',
  },
  {
    name: 'Gable',
    energy: 'gas',
    control: 'by hand',
    volumeL: 350,
    shelves: 6,
    ...UNMEASURED,
    shelfShape: 'rectangle',
    shelfWidthMm: 600,
    shelfDepthMm: 500,
    chamberMm: 980,
    climbRate: 180,
    latestHours: 16,
    notes: 'Reduction by damper. Monoxide alarm on before lighting.',
  },
];
