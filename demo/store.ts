/**
 * What stands in the demo studio's store besides bodies and coatings: recipes, buckets, blanks, measurements.
 */
import { addEntry, createBucket } from '../src/data/buckets';
import type { Transaction } from '../src/data/database';
import { listMaterials, updateMaterial } from '../src/data/materials';
import { setRecipe } from '../src/data/recipes';
import { addBodyTest, moveTiles, saveFormCard } from '../src/data/stock';
import type { Random } from './random';
import { listBodies } from '../src/data/bodies';
import { listCoatings } from '../src/data/coatings';

type Line = [material: string, amount: number, addition?: boolean, supply?: string];

/** Invented recipes of ordinary shape; none is anybody's. */
export const RECIPES: Record<string, Line[]> = {
  'yard-clear': [
    ['Potash feldspar, as mined', 38],
    ['Calcium borate frit', 22],
    ['Silica', 22],
    ['Whiting', 8],
    ['Kaolin', 10],
  ],
  tarn: [
    ['Potash feldspar, as mined', 42],
    ['Silica', 24],
    ['Whiting', 16],
    ['Kaolin', 8],
    ['Calcium borate frit', 10],
    ['Red iron oxide', 1.2, true],
  ],
  pitch: [
    ['Soda feldspar, as mined', 40, false, 'second sack, greyer'],
    ['Silica', 20],
    ['Whiting', 14],
    ['Ball clay', 12],
    ['Soda borosilicate frit', 14],
    ['Red iron oxide', 9, true],
  ],
  gull: [
    ['Nepheline syenite', 36],
    ['Silica', 22],
    ['Calcium borate frit', 20],
    ['Whiting', 10],
    ['Kaolin', 12],
    ['Tin oxide', 6, true],
  ],
  ember: [
    ['Soda feldspar, as mined', 44],
    ['Silica', 18],
    ['Calcium borate frit', 20],
    ['Whiting', 10],
    ['Kaolin', 8],
    ['Copper carbonate', 1.5, true],
    ['Silicon carbide', 0.6, true, 'finest grade'],
    ['Tin oxide', 2, true],
  ],
  'slack-tide': [
    ['Soda feldspar, as mined', 30],
    ['Calcium borate frit', 28],
    ['Silica', 20],
    ['Whiting', 14],
    ['Ball clay', 8],
    ['Rutile', 6, true],
    ['Cobalt carbonate', 1, true],
  ],
  snowmelt: [
    ['Nepheline syenite', 40],
    ['Talc', 16],
    ['Dolomite', 12],
    ['Kaolin', 20],
    ['Silica', 12],
    ['Zirconium silicate', 5, true],
  ],
  barnacle: [
    ['Nepheline syenite', 50],
    ['Whiting', 20],
    ['Kaolin', 20],
    ['Silica', 10],
    ['Silicon carbide', 2, true],
  ],
  rosehip: [
    ['Soda borosilicate frit', 20],
    ['Potash feldspar, as mined', 28],
    ['Silica', 22],
    ['Whiting', 20],
    ['Kaolin', 10],
    ['Tin oxide', 5, true],
    ['Chromium oxide', 0.15, true],
  ],
  'ash-lane': [
    ['Wood ash, mixed and washed', 1],
    ['Potash feldspar, as mined', 1],
    ['Ball clay', 1],
  ],
  foxglove: [
    ['Potash feldspar', 40],
    ['Silica', 30],
    ['Whiting', 20],
    ['Kaolin', 10],
    ['Cobalt carbonate', 0.4, true],
    ['Rutile', 2, true],
  ],
};

const PARTS = new Set(['ash-lane']);

const BUCKETS: readonly {
  coating: string;
  name: string;
  litres: number;
  sg: number;
  seconds: number;
  dips: number;
  readings: readonly [daysAgo: number, sg: number, seconds: number][];
}[] = [
  {
    coating: 'yard-clear',
    name: 'Yard Clear, grey lid',
    litres: 18,
    sg: 1.44,
    seconds: 3,
    dips: 1,
    readings: [
      [160, 1.44, 3],
      [120, 1.45, 3],
      [71, 1.46, 3],
      [30, 1.47, 3],
      [6, 1.44, 3],
    ],
  },
  {
    coating: 'tarn',
    name: 'Tarn, blue lid',
    litres: 14,
    sg: 1.48,
    seconds: 4,
    dips: 2,
    readings: [
      [140, 1.48, 4],
      [80, 1.49, 4],
      [12, 1.5, 4],
    ],
  },
  {
    coating: 'pitch',
    name: 'Pitch, black lid',
    litres: 16,
    sg: 1.5,
    seconds: 3,
    dips: 1,
    readings: [
      [150, 1.5, 3],
      [96, 1.53, 3],
      [40, 1.58, 3],
      [9, 1.6, 2],
    ],
  },
  {
    coating: 'gull',
    name: 'Gull, white lid',
    litres: 12,
    sg: 1.46,
    seconds: 3,
    dips: 2,
    readings: [
      [100, 1.46, 3],
      [33, 1.45, 3],
    ],
  },
  {
    coating: 'ember',
    name: 'Ember, red tape',
    litres: 7,
    sg: 1.42,
    seconds: 2,
    dips: 1,
    readings: [
      [64, 1.42, 2],
      [20, 1.47, 2],
    ],
  },
  {
    coating: 'slack-tide',
    name: 'Slack Tide, keep off the foot',
    litres: 6.5,
    sg: 1.45,
    seconds: 2,
    dips: 1,
    readings: [[51, 1.45, 2]],
  },
];

const STOCK: Record<string, [grams: number, price: number]> = {
  Silica: [21_500, 1.1],
  Kaolin: [14_200, 1.4],
  Whiting: [9_800, 0.9],
  'Potash feldspar, as mined': [18_000, 1.6],
  'Soda feldspar, as mined': [11_400, 1.6],
  'Nepheline syenite': [7_300, 1.9],
  'Calcium borate frit': [6_100, 5.4],
  'Ball clay': [8_900, 1.2],
  'Tin oxide': [640, 48],
  'Cobalt carbonate': [310, 92],
  'Red iron oxide': [2_700, 4.1],
  'Copper carbonate': [420, 39],
  Talc: [3_100, 1.7],
};

/** Expansions that the studio has settled on, 10⁻⁶/K, from which known glazes craze on them. */
const EXPANSIONS: Record<string, number> = { eider: 6.22, saltbox: 6.7, drift: 6.6, peat: 6.5 };
const ABSORPTIONS: Record<string, [percent: number, cone: string]> = {
  saltbox: [1.8, '6'],
  drift: [2.1, '6'],
  peat: [1.2, '5'],
  furrow: [9.4, '03'],
};

const FORM_CARDS = [
  { name: 'Mug', clayG: 430, wetHeightMm: 108, wetWidthMm: 92, fits: '' },
  { name: 'Beaker', clayG: 520, wetHeightMm: 136, wetWidthMm: 88, fits: '' },
  { name: 'Small bowl', clayG: 610, wetHeightMm: 74, wetWidthMm: 168, fits: 'stacks in sixes' },
  { name: 'Jar with lid', clayG: 980, wetHeightMm: 160, wetWidthMm: 122, fits: 'lid flange 96 mm' },
];

const DAY = 86_400_000;

/** Writes it all down. */
export async function writeShelves(
  trx: Transaction,
  people: readonly string[],
  random: Random,
  now: Date,
): Promise<void> {
  const [iben, tomasz] = people as [string, string];
  const ago = (days: number): Date => new Date(now.getTime() - days * DAY);
  const materials = new Map((await listMaterials(trx)).map((one) => [one.name, one]));
  for (const [name, [stockG, pricePerKg]] of Object.entries(STOCK)) {
    const { id, revision, analysis, density, hazards, notes } = materials.get(name)!;
    const fields = { name, analysis, density, hazards, notes, stockG, pricePerKg };
    await updateMaterial(trx, id, fields, revision);
  }
  const coatings = new Map((await listCoatings(trx)).map((one) => [one.slug, one]));
  for (const [slug, lines] of Object.entries(RECIPES)) {
    for (const [step, version] of coatings.get(slug)!.versions.entries()) {
      // Foxglove's later versions are the steps of its crazing ladder.
      const more: Line[] =
        step === 0
          ? []
          : [
              ['Silica', 1.25 * step, true],
              ['Kaolin', step, true],
            ];
      await setRecipe(trx, version.id, {
        unit: PARTS.has(slug) ? 'parts' : 'percent',
        notes: PARTS.has(slug) ? 'Equal thirds by weight.' : '',
        lines: [...lines, ...more].map(([name, amount, addition, supply]) => ({
          materialId: materials.get(name)!.id,
          amount,
          addition: addition ?? false,
          supply: supply ?? '',
        })),
      });
    }
  }
  for (const bucket of BUCKETS) {
    const id = random.id(ago(bucket.readings[0]![0]));
    await createBucket(
      trx,
      {
        id,
        versionId: coatings.get(bucket.coating)!.versions[0]!.id,
        weighed: null,
        name: bucket.name,
        dryG: Math.round(bucket.litres * 720),
        shape: 'round',
        widthMm: bucket.litres > 10 ? 320 : 260,
        depthMm: bucket.litres > 10 ? 380 : 300,
        litres: bucket.litres,
        advice: {
          dips: bucket.dips,
          seconds: bucket.seconds,
          dryingSign: 'the wet sheen is gone',
          restirMinutes: 5,
          sg: bucket.sg,
        },
      },
      iben,
      ago(bucket.readings[0]![0]),
    );
    for (const [days, sg, seconds] of bucket.readings)
      await addEntry(
        trx,
        id,
        {
          id: random.id(ago(days)),
          kind: 'measured',
          sg,
          seconds,
          temperatureC: 17,
          litres: null,
          grams: null,
          note: '',
        },
        days % 2 ? tomasz : iben,
        ago(days),
      );
  }
  for (const body of await listBodies(trx)) {
    const test = async (kind: string, value: number, cone: string | null, note: string) =>
      addBodyTest(trx, { id: random.id(ago(200)), bodyId: body.id, kind, value, cone, note }, iben, ago(200));
    const expansion = EXPANSIONS[body.slug];
    if (expansion) await test('expansion', expansion, null, 'from which glazes craze on it');
    const absorbed = ABSORPTIONS[body.slug];
    if (absorbed) await test('absorption', absorbed[0], absorbed[1], 'boiled two hours');
    const blanks = { saltbox: 64, drift: 23, peat: 41, eider: 9 }[body.slug];
    if (blanks === undefined) continue;
    const kind = { bodyId: body.id, form: 'L tile', faces: 'bare, light-slip' };
    await moveTiles(
      trx,
      { id: random.id(ago(60)), ...kind, number: blanks + 40, why: 'made' },
      iben,
      ago(60),
    );
    await moveTiles(trx, { id: random.id(ago(20)), ...kind, number: -40, why: 'used' }, iben, ago(20));
  }
  for (const card of FORM_CARDS)
    await saveFormCard(
      trx,
      { id: random.id(ago(300)), bodyId: null, shrinkage: 0.12, ...card },
      tomasz,
      ago(300),
    );
}
