import type { Recipe } from '@/data/recipes';
import {
  amountOf,
  differenceInWords,
  editable,
  madeHundred,
  percentsOf,
  swapIn,
  withBlank,
  type EditLine,
} from './edit';

const materials = ['Feldspar', 'Silica', 'Whiting', 'Talc', 'Iron'].map((name) => ({
  id: name.toLowerCase(),
  name,
}));
const recipe = (...lines: [string, number, boolean?][]): Recipe => ({
  versionId: 'v',
  unit: 'percent',
  notes: '',
  lines: lines.map(([name, amount, addition]) => ({
    materialId: name.toLowerCase(),
    name,
    amount,
    addition: addition ?? false,
    supply: 'old sack',
  })),
});
const kept = recipe(['Feldspar', 50], ['Silica', 30], ['Whiting', 20], ['Iron', 8, true]);
const amounts = (lines: readonly EditLine[]) => lines.map((line) => [line.materialId, line.amount]);

test('a kept recipe is opened as it was kept, and an empty one as nothing', () => {
  expect(amounts(editable(kept))).toEqual([
    ['feldspar', '50'],
    ['silica', '30'],
    ['whiting', '20'],
    ['iron', '8'],
  ]);
  expect(editable(kept)[0]).toMatchObject({ supply: 'old sack', addition: false });
  expect(editable(null)).toEqual([]);
});

test.each([
  ['12,5', 12.5],
  ['1/2', 0.5],
  ['0', 0],
  ['', null],
  ['-3', null],
  ['some', null],
])('an amount typed as “%s” is %s', (amount, value) => {
  expect(amountOf({ key: 1, materialId: null, amount, addition: false, supply: '' })).toBe(value);
});

test('a new line is empty and has a key of its own', () => {
  const lines = withBlank(withBlank(editable(kept)));
  expect(lines).toHaveLength(6);
  expect(new Set(lines.map(({ key }) => key)).size).toBe(6);
  expect(lines.at(-1)).toMatchObject({ materialId: null, amount: '' });
});

test('percents follow, additions over 100; with nothing in the base there are none', () => {
  const doubled = editable(recipe(['Feldspar', 100], ['Silica', 100], ['Iron', 16, true]));
  expect(percentsOf(doubled)).toEqual([50, 50, 8]);
  expect(amounts(madeHundred(doubled))).toEqual([
    ['feldspar', '50'],
    ['silica', '50'],
    ['iron', '8'],
  ]);
  const nothing = editable(recipe(['Iron', 8, true]));
  expect(percentsOf(nothing)).toEqual([null]);
  expect(madeHundred(nothing)).toEqual(nothing);
});

test('what is swapped in takes the place of what goes out, or adds to what is there', () => {
  const lines = editable(kept);
  const found = {
    amounts: [
      { name: 'Talc', amount: 12.345 },
      { name: 'Silica', amount: 2 },
    ],
    off: [],
  };
  const next = swapIn(lines, lines[2]!, found, materials);
  expect(amounts(next)).toEqual([
    ['feldspar', '50'],
    ['silica', '32'],
    ['talc', '12.35'],
    ['iron', '8'],
  ]);
  expect(new Set(next.map(({ key }) => key)).size).toBe(4);
  expect(lines).toEqual(editable(kept));
});

test('a swap among additions does not touch the base', () => {
  const lines = editable(recipe(['Silica', 100], ['Iron', 8, true]));
  const next = swapIn(lines, lines[1]!, { amounts: [{ name: 'Silica', amount: 3 }], off: [] }, materials);
  expect(next.map(({ materialId, amount, addition }) => [materialId, amount, addition])).toEqual([
    ['silica', '100', false],
    ['silica', '3', true],
  ]);
});

test('two versions are compared per 100 of base, not by what was typed', () => {
  const same = editable(recipe(['Feldspar', 5], ['Silica', 3], ['Whiting', 2], ['Iron', 0.8, true]));
  expect(differenceInWords(kept, same, materials)).toBe('the same amounts.');
  const other = editable(recipe(['Feldspar', 50], ['Silica', 25], ['Talc', 25], ['Iron', 8, true]));
  expect(differenceInWords(kept, other, materials)).toBe(
    'Silica 30 → 25 g, Whiting 20 → 0 g, Talc 0 → 25 g.',
  );
});
