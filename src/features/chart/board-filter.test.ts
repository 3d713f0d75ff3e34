import { filtersOf, passes } from './board-filter';

type Cell = Parameters<typeof passes>[1];
const cell = (rest: Partial<Cell> = {}): Cell => ({
  surface: 'gloss',
  movementMm: null,
  signs: [],
  standing: 'once',
  rating: null,
  ...rest,
});
const sign = (name: string, wanted = false) => ({
  sign: name,
  pieces: 1,
  severity: 2 as const,
  wanted,
});

test.each([
  [null, cell(), true],
  ['runs', cell({ movementMm: 3 }), true],
  ['runs', cell({ movementMm: 2 }), false],
  ['runs', cell(), false],
  ['stays', cell(), true],
  ['liked', cell({ rating: 4 }), true],
  ['liked', cell({ rating: 3.5 }), false],
  ['faultless', cell({ signs: [sign('halo', true)] }), true],
  ['faultless', cell({ signs: [sign('pit')] }), false],
  ['surface:matt', cell({ surface: 'matt' }), true],
  ['surface:matt', cell(), false],
  ['standing:settled', cell({ standing: 'settled' }), true],
  ['sign:crazing', cell({ signs: [sign('crazing')] }), true],
  ['sign:crazing', cell(), false],
  // An address of another day hides nothing.
  ['nonsense', cell(), true],
] as const)('%s: %o passes: %s', (filter, one, expected) => {
  expect(passes(filter, one)).toBe(expected);
});

test('only what some of the board show, and not all, can be looked for', () => {
  const values = filtersOf([
    cell({ movementMm: 8, signs: [sign('crazing')] }),
    cell({ surface: 'matt', rating: 5 }),
  ]).map(({ value }) => value);
  expect(values).toEqual([
    'runs',
    'stays',
    'liked',
    'faultless',
    'surface:gloss',
    'surface:matt',
    'sign:crazing',
  ]);
  // What belongs together stands together, under one heading each.
  const groups = filtersOf([cell({ signs: [sign('pit')] }), cell({ surface: 'matt' })]).map(
    ({ group }) => group,
  );
  expect(groups).toEqual(['How it behaves', 'Surface', 'Surface', 'Signs']);
  expect(filtersOf([cell(), cell()])).toEqual([]);
  expect(filtersOf([])).toEqual([]);
});
