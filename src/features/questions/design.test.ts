import { confounding, DESIGN_KINDS, designOf, designSchema, firstDesign, planTiles } from '@/core/designs';
import { effort, havingOf, words } from './design';
import { mixKey, recipeOfMix } from './mixes';
import { named, namedFactors } from './name';
import type { AskChoices } from './queries';
import type { Recipe } from '@/data/recipes';

const id = (n: number): string => `0193f7a0-0000-7000-8000-${String(n).padStart(12, '0')}`;
const some = (from: number, count: number, name: string) =>
  Array.from({ length: count }, (_, i) => ({ id: id(from + i), name: `${name} ${i}` }));

const choices = {
  bodies: some(100, 3, 'Body').map((one) => ({ ...one, colour: '#ffffff' })),
  coatings: some(200, 5, 'Glaze').map((one) => ({ ...one, colour: '#000000', recipe: true })),
  materials: ['silica', 'kaolin', 'red-iron-oxide'].map((slug, i) => ({
    id: id(300 + i),
    slug,
    name: slug,
  })),
  stock: [],
} as unknown as AskChoices;

const common = {
  bodies: [id(100)],
  repeats: 1,
  controls: true,
  apply: { method: 'dip', coats: 1, weight: 'normal', seconds: null, stage: 'bisque' },
} as const;

const having = havingOf(choices);
const names = new Map(
  [...choices.bodies, ...choices.coatings, ...choices.materials].map(({ id, name }) => [id, name]),
);
/** The body varies only where it is asked of. */
const bodiesFor = (kind: (typeof DESIGN_KINDS)[number]): string[] =>
  designOf(kind).acrossBodies ? [id(100), id(101), id(102)] : [...common.bodies];

describe.each(DESIGN_KINDS.map((kind) => [kind] as const))('a first design of kind “%s”', (kind) => {
  const design = firstDesign(kind, having, { ...common, bodies: bodiesFor(kind) });

  test('is taken by the server as it stands and makes tiles', () => {
    expect(designSchema.safeParse(design).error?.issues ?? []).toEqual([]);
    expect(planTiles(design).length).toBeGreaterThan(0);
  });

  test('changes nothing but what it asks about, and all it varies is varied', () => {
    const tiles = planTiles(design).map(({ factors }) => factors);
    const found = confounding(tiles, designOf(kind).asked(design));
    expect(found.unasked).toEqual([]);
    // One tile alone compares nothing with nothing; the body varies only where it is asked of.
    if (tiles.length > 1) expect(found.constant.filter((name) => name !== 'body')).toEqual([]);
  });

  test('says what it takes and has a question of its own', () => {
    const { minutes, clayG } = effort(design, planTiles(design).length);
    expect(minutes).toBeGreaterThan(0);
    expect(clayG).toBe(80 * planTiles(design).length);
    const { text, varied } = words(design, names);
    expect(text).toMatch(/^(How|What|Which|Do|When) .*\?$/);
    expect(text).not.toContain('{');
    expect(varied).not.toBe('');
  });
});

test('a larger design takes longer', () => {
  const grid = firstDesign('grid', having, { ...common, bodies: [...common.bodies] });
  expect(effort(grid, 35).minutes).toBeGreaterThan(effort(grid, 4).minutes);
});

test('a question is asked of what the design is about, in the studio’s names', () => {
  const of = (kind: (typeof DESIGN_KINDS)[number], named?: string) =>
    words(firstDesign(kind, havingOf(choices, named), { ...common, bodies: [] }), names).text;
  expect(of('grid')).toBe('What lies between Glaze 0, Glaze 1, Glaze 2 and Glaze 3?');
  expect(of('coats', id(203))).toBe('How many coats of Glaze 3?');
  expect(of('crazing')).toBe('Do silica and a little kaolin stop Glaze 0 crazing?');
  expect(of('matrix')).toBe('Which glaze goes over which?');
});

test('ids become names wherever they stand, and what has none stays', () => {
  const names = new Map([
    [id(1), 'Tarn'],
    [id(2), 'Pitch'],
  ]);
  expect(named(`50 % ${id(1)} + 50 % ${id(2)}`, names)).toBe('50 % Tarn + 50 % Pitch');
  expect(named(id(9), names)).toBe(id(9));
  expect(namedFactors({ [id(1)]: '50 %', body: id(2) }, names)).toEqual({
    Tarn: '50 %',
    body: 'Pitch',
  });
});

describe('recipes of mixes', () => {
  const recipe = (versionId: string, lines: [string, number, boolean?][]): Recipe => ({
    versionId,
    unit: 'percent',
    notes: '',
    lines: lines.map(([materialId, amount, addition]) => ({
      materialId,
      name: materialId,
      amount,
      addition: addition ?? false,
      supply: '',
    })),
  });
  const recipes = new Map([
    [
      'A',
      recipe('A', [
        ['feldspar', 60],
        ['silica', 40],
        ['iron', 8, true],
      ]),
    ],
    // In parts: two of one, two of another.
    [
      'B',
      recipe('B', [
        ['feldspar', 2],
        ['clay', 2],
      ]),
    ],
  ]);

  test('corners are mixed by their shares in percent, whatever sum they were written to', () => {
    const lines = recipeOfMix({ shares: { A: 0.5, B: 0.5 }, additions: { tin: 5 } }, recipes)!;
    const of = (id: string) => lines.find((line) => line.materialId === id);
    expect(of('feldspar')).toMatchObject({ amount: 55, addition: false });
    expect(of('silica')).toMatchObject({ amount: 20 });
    expect(of('clay')).toMatchObject({ amount: 25 });
    expect(of('iron')).toMatchObject({ amount: 4, addition: true });
    expect(of('tin')).toMatchObject({ amount: 5, addition: true });
    const base = lines.filter((line) => !line.addition);
    expect(base.reduce((sum, line) => sum + line.amount, 0)).toBeCloseTo(100, 9);
  });

  test('a corner without a recipe leaves the mix without one', () => {
    expect(recipeOfMix({ shares: { A: 0.5, C: 0.5 }, additions: {} }, recipes)).toBeNull();
  });

  test('mixes are told apart by what is in them, not by the order it was written in', () => {
    expect(mixKey({ shares: { A: 0.5, B: 0.5 }, additions: {} })).toBe(
      mixKey({ shares: { B: 0.5, A: 0.5 }, additions: {} }),
    );
    expect(mixKey({ shares: { A: 1 }, additions: { tin: 1 } })).not.toBe(
      mixKey({ shares: { A: 1 }, additions: { tin: 2 } }),
    );
  });
});
