import { interpret } from './interpret';
import { mend } from './mend';
import type { Column } from './columns';

const COLUMNS: (Column | null)[] = ['body', 'coating 1', 'coats 1', 'coating 2', 'key'];
const row = (...cells: string[]) => interpret(2, ['Peat', ...cells], COLUMNS);
const names = (read: ReturnType<typeof row>) => read.coats.map(({ coating }) => coating);

test.each([
  ['Tarn', '', '', '', 'sure', ['Tarn']],
  ['Tarn?', '', '', '', 'likely', ['Tarn']],
  ['probably Tarn', '2', 'Pitch (?)', '', 'likely', ['Tarn', 'Pitch']],
  ['maybe Tarn over Pitch', '', '', '', 'likely', ['Pitch', 'Tarn']],
  ['Tarn', '', '', 'from memory', 'likely', ['Tarn']],
  ['Tarn?', '', '', 'sure', 'sure', ['Tarn']],
  ['none', '', '', '', 'sure', []],
  ['bare', '', '', 'likely', 'likely', []],
] as const)('“%s”, %s, “%s”, key “%s” is %s', (one, coats, two, key, known, coatings) => {
  const read = row(one, coats, two, key);
  expect(read.key).toBe(known);
  expect(names(read)).toEqual(coatings);
  expect(read.warnings).toEqual([]);
});

test('what nothing is said of is not bare: its key is lost, and it is said', () => {
  const read = row('', '', '', '');
  expect(read).toMatchObject({ key: 'lost', coats: [], errors: [], note: '' });
  expect(read.warnings).toEqual([
    'Nothing says what is on it: its key is lost and it stands on no cell. Bare clay is written “none”.',
  ]);
  // The same where the file has no column of coats at all.
  expect(interpret(2, ['Peat'], ['body']).key).toBe('lost');
  expect(row('', '', '', 'lost').warnings[0]).toMatch(/^Nobody knows/);
});

test.each([
  ['?', '', 'Tarn', ''],
  ['illegible', '', 'Tarn', ''],
  ['n/a', '', 'Tarn', ''],
  ['Tarn', '2', '', 'lost'],
])('one coat that nobody knows makes the stack unknown, and the others stay in words', (...cells) => {
  const read = row(...cells);
  expect(read).toMatchObject({ key: 'lost', coats: [] });
  expect(read.note).toMatch(/^On it, as written: .*Tarn/);
});

test('a key in other words is kept in the note', () => {
  const read = row('Tarn', '', '', 'Ines said so');
  expect(read).toMatchObject({ key: 'sure', note: 'Key as written: Ines said so' });
});

test('a cell is mended in its line, or wherever it says the same; later mendings stand on earlier ones', () => {
  const rows = () => [2, 3, 4].map((line) => ({ line, cells: ['Peat', line === 4 ? '6' : '5-6'] }));
  const one = rows();
  expect(mend(one, [{ column: 1, line: 3, from: '5-6', to: '5' }])).toEqual(new Set([3]));
  expect(one.map(({ cells }) => cells[1])).toEqual(['5-6', '5', '6']);
  const all = rows();
  const touched = mend(all, [
    { column: 1, line: null, from: '5-6', to: '6' },
    { column: 1, line: 4, from: '6', to: '7' },
    { column: 2, line: null, from: '', to: 'note' },
  ]);
  expect(touched).toEqual(new Set([2, 3, 4]));
  expect(all.map(({ cells }) => cells)).toEqual([
    ['Peat', '6', 'note'],
    ['Peat', '6', 'note'],
    ['Peat', '7', 'note'],
  ]);
});
