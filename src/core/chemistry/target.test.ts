import fc from 'fast-check';
import { analyse, type Line } from './analyse';
import { MATERIALS } from './minerals';
import { OXIDES } from './oxides';
import { recipeFor, swap, type ShelfMaterial, type Target } from './target';

const shelfOf = (...names: string[]): ShelfMaterial[] =>
  names.map((name) => {
    const found = MATERIALS.find((one) => one.name === name);
    if (!found?.analysis) throw new Error(`No ${name}.`);
    return { name, analysis: found.analysis };
  });

const SHELF = shelfOf(
  'Potash feldspar',
  'Soda feldspar',
  'Nepheline syenite',
  'Kaolin',
  'Ball clay',
  'Silica',
  'Whiting',
  'Dolomite',
  'Talc',
  'Zinc oxide',
  'Colemanite',
  'Soda borosilicate frit',
);

const exactly = (umf: Partial<Record<(typeof OXIDES)[number], number>>): Target =>
  Object.fromEntries(Object.entries(umf).map(([oxide, value]) => [oxide, { min: value, max: value }]));

const linesOf = (shelf: readonly ShelfMaterial[], recipe: { name: string; percent: number }[]) =>
  recipe.map(({ name, percent }): Line => ({
    name,
    amount: percent,
    analysis: shelf.find((one) => one.name === name)!.analysis,
  }));

test('the textbook formula gives the textbook recipe back', () => {
  // Published: 40 potash feldspar, 30 silica, 20 whiting, 10 kaolin.
  const found = recipeFor(
    shelfOf('Potash feldspar', 'Silica', 'Whiting', 'Kaolin'),
    exactly({ K2O: 0.2643, CaO: 0.7357, Al2O3: 0.4067, SiO2: 3.711 }),
  );
  const percent = Object.fromEntries(found.recipe.map((one) => [one.name, one.percent]));
  expect(percent['Potash feldspar']).toBeCloseTo(40, 0);
  expect(percent.Silica).toBeCloseTo(30, 0);
  expect(percent.Whiting).toBeCloseTo(20, 0);
  expect(percent.Kaolin).toBeCloseTo(10, 0);
  expect(found.missed).toEqual([]);
});

test('the recipe of any formula that the shelf can make has that formula within 1 %', () => {
  const amount = fc.oneof(fc.constant(0), fc.double({ min: 1, max: 40, noNaN: true }));
  fc.assert(
    fc.property(fc.array(amount, { minLength: 11, maxLength: 11 }), (others) => {
      const amounts = [25, ...others];
      const made = analyse(SHELF.map((one, i) => ({ ...one, amount: amounts[i]! })))!;
      const found = recipeFor(SHELF, exactly(made.umf!));
      const again = analyse(linesOf(SHELF, found.recipe))!;
      for (const oxide of OXIDES) {
        const wanted = made.umf![oxide] ?? 0;
        expect(Math.abs((again.umf![oxide] ?? 0) - wanted)).toBeLessThanOrEqual(
          0.01 * Math.max(wanted, 0.05),
        );
      }
      expect(found.recipe.reduce((sum, one) => sum + one.percent, 0)).toBeCloseTo(100, 0);
    }),
    { numRuns: 60 },
  );
});

test('ranges are kept to, and the flux sums to one', () => {
  const found = recipeFor(SHELF, {
    CaO: { min: 0.4, max: 0.6 },
    MgO: { min: 0.1, max: 0.2 },
    Al2O3: { min: 0.35, max: 0.45 },
    SiO2: { min: 3, max: 3.5 },
    B2O3: { min: 0.1, max: 0.2 },
  });
  expect(found.missed).toEqual([]);
  expect(found.umf.CaO).toBeGreaterThanOrEqual(0.399);
  expect(found.umf.CaO).toBeLessThanOrEqual(0.601);
  expect(found.umf.SiO2).toBeGreaterThanOrEqual(2.99);
});

test('an oxide that nothing brings is named', () => {
  const found = recipeFor(
    shelfOf('Potash feldspar', 'Silica', 'Whiting', 'Kaolin'),
    exactly({ K2O: 0.2, CaO: 0.7, BaO: 0.1, Al2O3: 0.4, SiO2: 3.5 }),
  );
  expect(found.missed.map(({ oxide }) => oxide)).toContain('BaO');
  expect(found.missed.find(({ oxide }) => oxide === 'BaO')!.why).toBe('Nothing on the shelf brings BaO.');
});

test('an oxide that comes along with what is needed is named with what brings it', () => {
  const found = recipeFor(
    shelfOf('Potash feldspar', 'Whiting', 'Silica'),
    exactly({ K2O: 0.5, CaO: 0.5, Al2O3: 0, SiO2: 4 }),
  );
  const alumina = found.missed.find(({ oxide }) => oxide === 'Al2O3' || oxide === 'K2O');
  expect(alumina).toBeDefined();
  expect(alumina!.why).toMatch(/Potash feldspar/);
});

test('a shelf without flux, and a wish turned round, are refused', () => {
  expect(() => recipeFor(shelfOf('Silica', 'Kaolin'), exactly({ SiO2: 3 }))).toThrow(RangeError);
  expect(() => recipeFor(SHELF, { CaO: { min: 0.6, max: 0.4 } })).toThrow(/CaO/);
});

test('potash feldspar is replaced by the oxides it is made of', () => {
  const found = swap(shelfOf('Potash feldspar')[0]!, 40, shelfOf('Pearl ash', 'Alumina', 'Silica'));
  expect(found.off).toEqual([]);
  const by = Object.fromEntries(found.amounts.map((one) => [one.name, one.amount]));
  // From the formulas: 138.2 of pearl ash, 101.96 of alumina, 360.5 of silica for each 556.65.
  expect(by['Pearl ash']).toBeCloseTo((40 * 138.2) / 556.65, 1);
  expect(by.Alumina).toBeCloseTo((40 * 101.96) / 556.65, 1);
  expect(by.Silica).toBeCloseTo((40 * 360.5) / 556.65, 1);
});

test('what a replacement cannot match is said', () => {
  const found = swap(shelfOf('Dolomite')[0]!, 10, shelfOf('Whiting'));
  expect(found.off.map(({ oxide }) => oxide)).toEqual(['MgO']);
});

test('a flux that is crowded out by another that came unasked is explained by it', () => {
  const found = recipeFor(
    shelfOf('Potash feldspar, as mined', 'Whiting', 'Kaolin', 'Silica'),
    exactly({ K2O: 0.26, CaO: 0.74, Al2O3: 0.41, SiO2: 3.7 }),
  );
  const lime = found.missed.find(({ oxide }) => oxide === 'CaO')!;
  expect(lime.got).toBeLessThan(0.74);
  expect(lime.why).toMatch(/^Na2O 0\.1\d came along/);
});
