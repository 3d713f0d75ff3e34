import { fireEvent } from '@testing-library/react';
import { named, person, press, screen, server, show } from '../../../../test-support/dom';

const { KeyGrid } = await import('./KeyGrid');

const COATINGS = [
  { name: 'Tarn', versionId: '0192c7cd-5baa-71a4-a619-90db87e80001' },
  { name: 'Pitch', versionId: '0192c7cd-5baa-71a4-a619-90db87e80002' },
];
const PIECES = ['1', '2', '3'].map((mark) => ({
  id: `0192c7cd-5baa-71a4-a619-90db87e8100${mark}`,
  generation: 1,
  code: `A7CF${mark}`,
  mark,
  form: 'mug',
  sha: null,
  seen: 'gloss',
}));
let no = 0;
const grid = () => show(<KeyGrid about={`f${++no}`} pieces={PIECES} coatings={COATINGS} />);
const cell = (mark: string, column = 'first coat') => named(`${mark}, ${column}`);
beforeEach(() => window.localStorage.clear());

test('pasted from a table, filled down, kept in one act with its undo; what stays empty is not known', async () => {
  const sent = server(() => ({ ok: true, data: { before: [] } }));
  const hand = person();
  grid();
  expect(screen.getByRole('button', { name: 'Nothing said yet' })).toHaveProperty('disabled', true);
  fireEvent.paste(cell('1'), { clipboardData: { getData: () => 'Pitch\tTarn x2\nTarn\t' } });
  expect([cell('1').value, cell('1', 'over it').value, cell('2').value]).toEqual([
    'Pitch',
    'Tarn x2',
    'Tarn',
  ]);
  cell('2').focus();
  await hand.keyboard('{Control>}d{/Control}');
  expect(cell('3').value).toBe('Tarn');
  await hand.clear(cell('3'));
  await press(hand, 'Keep what is on 2 pieces');
  const { changes } = sent.at(-1)!.body.input as {
    changes: { pieceIds: string[]; to: { keyKnown: string } }[];
  };
  expect(changes.map(({ pieceIds, to }) => [pieceIds, to.keyKnown])).toEqual([
    [[PIECES[0]!.id], 'sure'],
    [[PIECES[1]!.id], 'sure'],
  ]);
  expect(screen.getByText('2 pieces with their coats')).toBeTruthy();
  expect(cell('1').value).toBe('');
});

test('a name that the store has not is said beside its row, with the one that is meant; the rest is kept all the same', async () => {
  const hand = person();
  grid();
  await hand.type(cell('1'), 'Tarm');
  await hand.type(cell('2'), 'Pitch?');
  expect(screen.getByText(/“Tarm” is not in the store/)).toBeTruthy();
  expect(screen.getByText('likely so')).toBeTruthy();
  expect(screen.getByText(/1 row cannot be read/)).toBeTruthy();
  await press(hand, 'Tarn?');
  expect(cell('1').value).toBe('Tarn');
  expect(screen.getByRole('button', { name: 'Keep what is on 2 pieces' })).toBeTruthy();
});

test('by keys down and up; what was begun is there again', async () => {
  const hand = person();
  const { unmount } = grid();
  await hand.type(cell('1'), 'Tarn{Enter}');
  expect(document.activeElement).toBe(cell('2'));
  await hand.keyboard('{ArrowUp}');
  expect(document.activeElement).toBe(cell('1'));
  unmount();
  show(<KeyGrid about={`f${no}`} pieces={PIECES} coatings={COATINGS} />);
  expect(cell('1').value).toBe('Tarn');
});

test('from memory it is likely, and says so', async () => {
  const sent = server(() => ({ ok: true, data: { before: [] } }));
  const hand = person();
  grid();
  await hand.type(cell('1'), 'none');
  expect(screen.getByText('bare')).toBeTruthy();
  await hand.click(screen.getByRole('switch'));
  await press(hand, 'Keep what is on 1 piece');
  expect(sent.at(-1)!.body.input).toMatchObject({ changes: [{ to: { keyKnown: 'likely', layers: [] } }] });
});
