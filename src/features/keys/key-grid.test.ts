import { changesOf, filledDown, pasted, readKeyRow } from './key-grid';

const STORE = [
  { name: 'Tarn', versionId: 't1' },
  { name: 'Pitch', versionId: 'p1' },
  { name: 'Chalk White', versionId: 'c1' },
];
const read = (...cells: string[]) => readKeyRow(cells, STORE);

test.each([
  [['', '', ''], { says: 'nothing' }],
  [['?', '', ''], { says: 'not known' }],
  // One coat that nobody knows: nobody knows the stack.
  [['Tarn', 'forgotten', ''], { says: 'not known' }],
  [['none', '', ''], { says: 'known', likely: false, coats: [] }],
  [
    ['tarn', 'PITCH x2', ''],
    {
      says: 'known',
      likely: false,
      coats: [
        { versionId: 't1', coats: 1 },
        { versionId: 'p1', coats: 2 },
      ],
    },
  ],
  [
    ['Tarn over Pitch', '', ''],
    {
      says: 'known',
      likely: false,
      coats: [
        { versionId: 'p1', coats: 1 },
        { versionId: 't1', coats: 1 },
      ],
    },
  ],
  [['probably Tarn', '', ''], { says: 'known', likely: true, coats: [{ versionId: 't1', coats: 1 }] }],
  [['Tarm', '', ''], { says: 'wrong', at: 0, why: '“Tarm” is not in the store.', near: 'Tarn' }],
  [['Tarn', 'Celestial', ''], { says: 'wrong', at: 1, why: '“Celestial” is not in the store.', near: null }],
  [['Tarn x99', '', ''], { says: 'wrong', at: 0, why: 'Tarn: 1 to 20 coats.', near: null }],
])('%j', (cells, says) => {
  expect(read(...cells)).toEqual(says);
});

test('a studio without coatings knows no near name', () => {
  expect(readKeyRow(['Tarn'], [])).toMatchObject({ says: 'wrong', near: null });
});

const EMPTY = [
  ['', '', ''],
  ['', '', ''],
  ['', '', ''],
];

test('a table that is pasted spreads to the right and down, and no further than there are rows', () => {
  expect(pasted(EMPTY, 1, 1, 'Tarn\tPitch\r\nPitch\t\nmore\tthan\n')).toEqual([
    ['', '', ''],
    ['', 'Tarn', 'Pitch'],
    ['', 'Pitch', ''],
  ]);
  // A cell of a spreadsheet may hold lines and quotes.
  expect(pasted(EMPTY, 0, 0, '"Tarn\nthick"\tPitch')[0]).toEqual(['Tarn\nthick', 'Pitch', '']);
});

test('filled down a column takes its words until the next one that is filled, and nothing else', () => {
  const grid = [
    ['Tarn', 'x', ''],
    ['', 'y', ''],
    ['', '', ''],
    ['Pitch', '', ''],
    ['', '', ''],
  ];
  expect(filledDown(grid, 0, 0).map(([cell]) => cell)).toEqual(['Tarn', 'Tarn', 'Tarn', 'Pitch', '']);
  expect(filledDown(grid, 3, 0).map(([cell]) => cell)).toEqual(['Tarn', '', '', 'Pitch', 'Pitch']);
  expect(filledDown(grid, 0, 0).map(([, cell]) => cell)).toEqual(['x', 'y', '', '', '']);
});

test('pieces of one stack are one change; what is doubted is likely, and what says nothing stays', () => {
  const pieces = ['a', 'b', 'c', 'd', 'e'].map((id) => ({ id, generation: 1 }));
  const rows = [read('Tarn'), read(''), read('Tarn'), read('Tarn?'), read('Tarm')];
  const changes = changesOf(pieces, rows, true);
  expect(changes.map(({ pieceIds, to }) => [pieceIds, to.keyKnown])).toEqual([
    [['a', 'c'], 'sure'],
    [['d'], 'likely'],
  ]);
  expect(changes[0]!.to.layers).toMatchObject([{ coatingVersionId: 't1', coats: 1, method: 'dip' }]);
  expect(changesOf(pieces, rows, false)).toHaveLength(1);
});
