import { factOf } from './facts';
import { readRecipe, type Recipe } from './from-recipe';

const line = (name: string, amount: number, addition = false) => ({ name, amount, addition });
const CLEAR: Recipe = [
  line('Potash feldspar', 40),
  line('Silica', 30),
  line('Whiting', 20),
  line('Kaolin', 10),
];
const value = (fact: string, of: Partial<Parameters<typeof readRecipe>[0]>): string | undefined =>
  readRecipe({ oxides: null, recipes: [], ...of }).find((one) => one.fact === fact)?.value;

test('what is named in a recipe', () => {
  expect(value('silicon-carbide', { recipes: [CLEAR] })).toBe('none');
  expect(value('silicon-carbide', { recipes: [CLEAR, [...CLEAR, line('Silicon carbide', 0.6, true)]] })).toBe(
    'yes',
  );
  expect(value('shrinking', { recipes: [CLEAR] })).toBe('no');
  expect(value('shrinking', { recipes: [[line('Ball clay', 30), line('Frit', 70)]] })).toBe('yes');
  // Calcined clay does not shrink any more.
  expect(value('shrinking', { recipes: [[line('Calcined kaolin', 30), line('Frit', 70)]] })).toBe('no');
  expect(value('shrinking', { recipes: [[line('Frit', 90), line('Zinc oxide', 10)]] })).toBe('yes');
  expect(value('soda', { recipes: [[line('Soda ash', 17), line('Ball clay', 83)]] })).toBe('rich');
  expect(value('soda', { recipes: [] })).toBeUndefined();
});

test('what its oxides say', () => {
  // A magnesia matt at cone 6 and a boron clear, mass % of the fired glaze; bounds from memory.
  const matt = { SiO2: 52, Al2O3: 20, MgO: 9, CaO: 6, K2O: 4, Na2O: 5, B2O3: 2 };
  const clear = { SiO2: 62, Al2O3: 9, CaO: 12, B2O3: 9, Na2O: 5, K2O: 3 };
  expect(value('ratio', { oxides: matt })).toBe('matt');
  expect(value('ratio', { oxides: clear })).toBe('other');
  expect(value('stiff', { oxides: matt })).toBe('yes');
  expect(value('stiff', { oxides: clear })).toBe('no');
  expect(value('boron', { oxides: clear })).toBe('some');
  expect(value('boron', { oxides: { ...clear, B2O3: 14, Al2O3: 7 } })).toBe('two-glass');
  expect(value('base', { oxides: clear })).toBe('lime');
  expect(value('base', { oxides: { SiO2: 60, Na2O: 15, CaO: 4 } })).toBe('alkali');
  expect(value('colourant', { oxides: { ...clear, MnO: 10 } })).toBe('heavy');
  expect(value('colourant', { oxides: clear })).toBe('little');
  expect(value('opacifier', { oxides: { ...clear, TiO2: 6 } })).toBe('high');
});

test('every fact and value it can say is one that the clinic knows', () => {
  for (const oxides of [{}, { SiO2: 60, Al2O3: 10, CaO: 14, B2O3: 12, CuO: 5, MnO: 9, TiO2: 8 }])
    for (const { fact, value: is } of readRecipe({ oxides, recipes: [CLEAR, [line('Rutile', 4)]] }))
      expect([fact, factOf(fact)?.values.some(({ id }) => id === is)]).toEqual([fact, true]);
});
