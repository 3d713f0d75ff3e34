import { listCoatings } from '../src/data/coatings';
import { listMaterials } from '../src/data/materials';
import { testStudio, type TestStudio } from './studio';

type Line = [material: string, amount: number];

const RECIPES: Record<string, Line[]> = {
  tarn: [
    ['Potash feldspar', 40],
    ['Silica', 30],
    ['Whiting', 20],
    ['Kaolin', 10],
  ],
  pitch: [
    ['Soda feldspar', 70],
    ['Whiting', 20],
    ['Kaolin', 10],
  ],
};

/** A studio two of whose glazes have recipes, and what a question about them is made of. */
export async function questionStudio() {
  const studio = await testStudio();
  const materials = await listMaterials(studio.db);
  const material = (called: string) => materials.find((one) => one.name === called)!.id;
  const write = (slug: string, lines: Line[]) => writeRecipe(studio, material, slug, lines);
  for (const [slug, lines] of Object.entries(RECIPES)) await write(slug, lines);

  const common = () => ({
    bodies: [studio.body],
    repeats: 1,
    controls: true,
    apply: { method: 'dip', coats: 1, weight: 'normal', seconds: 3, stage: 'bisque' },
  });
  const crazing = () => ({
    ...common(),
    kind: 'crazing',
    base: studio.version('tarn'),
    steps: 3,
    silica: material('Silica'),
    kaolin: material('Kaolin'),
  });
  return { studio, material, write, common, crazing };
}

async function writeRecipe(
  studio: TestStudio,
  material: (name: string) => string,
  slug: string,
  lines: Line[],
): Promise<void> {
  const coating = (await listCoatings(studio.db)).find((one) => one.slug === slug)!;
  await studio.must('store.save-recipe', {
    coatingId: coating.id,
    versionId: coating.versions[0]!.id,
    changed: '',
    unit: 'percent',
    notes: '',
    lines: lines.map(([called, amount]) => ({
      materialId: material(called),
      amount,
      addition: false,
      supply: '',
    })),
  });
}

/** A question as it is asked, with or without a design. */
export const asking = (design: object | null, rest: object = {}) => ({
  fields: { text: 'Does silica cure it?', varied: 'silica', held: 'all else', expected: 'yes' },
  design,
  form: 'L tile',
  heightMm: 90,
  faces: [{ no: 1, kind: 'bare', slipVersionId: null }],
  waitingFor: 'glaze',
  wantedCone: '6',
  wantedAtmosphere: 'oxidation',
  sheet: { dryG: 100, cupMl: 60, measureMl: 1, resolutionG: 0.1 },
  shelves: 2,
  seed: 42,
  ...rest,
});

export type Asked = { id: string; no: number; codes: string[] };
