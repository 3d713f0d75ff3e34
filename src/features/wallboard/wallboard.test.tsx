/** The room in which a wall board is brought in: counted, headed, looked through, sent as one. */
import { fireEvent, waitFor } from '@testing-library/react';
import { named, person, press, screen, server, show } from '../../../test-support/dom';
import { lookerSees, picturesAre } from '../../../test-support/looker';
import type { Grid } from '@/core/sight';
import type { BringBoardInput } from './contracts';

const square = (x: number, y: number, side: number) =>
  [
    { x, y: y + side },
    { x: x + side, y: y + side },
    { x: x + side, y },
    { x, y },
  ] as Grid['corners'];
const tilesOf = ({ rows, columns }: Pick<Grid, 'rows' | 'columns'>) =>
  Array.from({ length: rows * columns }, (_, i) => {
    const [row, column] = [Math.floor(i / columns), i % columns];
    return { row, column, corners: square(0.1 + 0.1 * column, 0.1 + 0.2 * row, 0.08), empty: i === 1 };
  });
let sure = 1;
const FOUND: Grid = { corners: square(0.1, 0.1, 0.7), rows: 2, columns: 3 };
const looked = lookerSees(({ board }) =>
  board === undefined ? { board: { ...FOUND, sure }, tiles: tilesOf(FOUND) } : { tiles: tilesOf(board) },
);
picturesAre({ width: 40, height: 30 });

const { WallboardRoom } = await import('./components/WallboardRoom');
const { NOTHING_SAID, headed } = await import('./said');

const NAMES = { coatings: ['Tarn', 'Pitch'], bodies: ['Peat'] };
const id = (n: number) => `0192c7cd-5baa-71a4-a619-90db87e8100${n}`;
const open = (name = 'board.jpg') =>
  fireEvent.change(screen.getByLabelText('Picture of the board'), {
    target: { files: [new File(['x'], name, { lastModified: 1 })] },
  });
const paste = (label: string, text: string) =>
  fireEvent.paste(named(label), { clipboardData: { getData: () => text } });
const room = () =>
  show(<WallboardRoom card={[30, 90]} names={NAMES} kilns={[{ id: id(5), name: 'Marta' }]} />);

beforeEach(() => {
  localStorage.clear();
  sure = 1;
});

test('headings pasted once, an empty hook, a tile with words of its own: sent in one act, and taken back by one', async () => {
  const sent = server(() => ({
    ok: true,
    data: {
      lotId: id(9),
      pieceIds: [id(1), id(2)],
      coatingIds: [id(8)],
      bodies: 0,
      measured: 0,
      chart: { body: 'peat', cone: '?6', atmosphere: 'unknown' },
    },
  }));
  const hand = person();
  room();
  open();
  await screen.findByText(/5 tiles; 1 place empty/);
  await hand.type(named('Name of the board'), 'By the sink');
  expect(screen.getByText('Say the body first.')).toBeTruthy();
  fireEvent.change(named('Body'), { target: { value: 'Peat' } });
  paste('Row A, coating', 'Pitch\nTarn');
  paste('Column 1, coating', 'Tarn\nHeron\nPitch\nToo many');
  expect([named('Row B, coating').value, named('Column 3, coating').value]).toEqual(['Tarn', 'Pitch']);
  expect(screen.getByText(/New in the store/).parentElement!.textContent).toContain('Heron. If');
  await press(hand, 'below once, above twice');
  await press(hand, 'B3, Tarn, then Pitch below, then Pitch ×2 above');
  await hand.type(named('Written on B3'), 'none');
  await press(hand, 'B3, bare');
  await press(hand, 'A2, no tile hangs here');
  await press(hand, 'A tile hangs here');
  await press(hand, 'Bring in 6 tiles');
  await screen.findByText('On record: 2 tiles of this board');
  expect(screen.getByRole('link', { name: 'Look at the chart' }).getAttribute('href')).toBe(
    '/chart?body=peat&cone=%3F6&atmosphere=unknown',
  );
  const input = sent.at(-1)!.body.input as BringBoardInput;
  expect(input).toMatchObject({
    name: 'By the sink',
    board: { body: 'Peat', top: { lower: 1, upper: 2 }, rows: { headings: ['Pitch', 'Tarn'] } },
    firedOn: null,
    kilnId: null,
  });
  expect(input.tiles.map(({ row, column, own }) => [row, column, own])).toEqual([
    [0, 0, null],
    [0, 1, null],
    [0, 2, null],
    [1, 0, null],
    [1, 1, null],
    [1, 2, 'none'],
  ]);
  await press(hand, 'Undo');
  await waitFor(() =>
    expect(sent.at(-1)!.body.input).toEqual({ lotId: id(9), coatingIds: [id(8)], binned: true }),
  );
});

test('a row more is looked for anew; what is hard to see is said; where nothing is found the corners are drawn by hand', async () => {
  sure = 0.4;
  const hand = person();
  room();
  open();
  await screen.findByText(/hard to see/);
  await press(hand, 'More rows');
  // Until its tiles are found nothing is brought in: they would be those of two rows.
  const bring = () => screen.getByRole<HTMLButtonElement>('button', { name: /^Bring in/ });
  await hand.type(named('Name of the board'), 'x');
  fireEvent.change(named('Body'), { target: { value: 'Peat' } });
  await press(hand, 'More rows');
  expect(bring().disabled).toBe(true);
  await press(hand, 'Fewer rows');
  await waitFor(() => expect(looked.at(-1)!.board).toMatchObject({ rows: 3, columns: 3 }));
  await screen.findByText(/8 tiles; 1 place empty/);
  fireEvent.keyDown(screen.getByRole('button', { name: /^Board: rim left/ }), { key: 'ArrowLeft' });
  await waitFor(() => expect(looked.at(-1)!.board!.corners[3].x).toBeCloseTo(0.098, 9));
  await waitFor(() => expect(bring().disabled).toBe(false));
  // Corners that cross are said, and nothing is brought in by them.
  const right = screen.getByRole('button', { name: /^Board: rim right/ });
  for (let i = 0; i < 50; i++) fireEvent.keyDown(right, { key: 'ArrowLeft', shiftKey: true });
  expect(bring().disabled).toBe(true);
  expect(screen.getByText(/corners|sides|wrong way/i, { selector: '[role=status]' })).toBeTruthy();
});

test('a card that was not seen is touched, step by step, and goes with the board', async () => {
  const sent = server(() => ({
    ok: true,
    data: { lotId: id(9), pieceIds: [id(1)], coatingIds: [], bodies: 0, measured: 5, chart: null },
  }));
  const hand = person();
  room();
  open();
  await screen.findByText(/No grey card is seen/);
  const drawing = screen.getByAltText('The board').parentElement!.querySelector('svg')!;
  drawing.getBoundingClientRect = () => ({ left: 0, top: 0, width: 100, height: 100 }) as DOMRect;
  const touch = (x: number): void => {
    const event = new Event('pointerdown', { bubbles: true });
    Object.assign(event, { clientX: x, clientY: 95 });
    fireEvent(drawing, event);
  };
  await press(hand, 'Touch the grey card');
  touch(10);
  expect(screen.getByText(/step 2 of 2/)).toBeTruthy();
  touch(20);
  expect(screen.getByRole('button', { name: 'Grey is elsewhere' })).toBeTruthy();
  await hand.type(named('Name of the board'), 'x');
  fireEvent.change(named('Body'), { target: { value: 'Peat' } });
  await press(hand, 'Bring in 5 tiles');
  await screen.findByText(/measured by the grey card/);
  expect((sent.at(-1)!.body.input as BringBoardInput).grey).toEqual([
    { x: 0.1, y: 0.95 },
    { x: 0.2, y: 0.95 },
  ]);
});

test('a refusal keeps everything that was said, and so does the device until it is brought in', async () => {
  let answer: object = { code: 'refused', message: 'A1: the corners go round the wrong way.' };
  const sent = server(() => ({ ok: false, problem: answer }));
  const hand = person();
  const shown = room();
  open();
  await screen.findByText(/5 tiles; 1 place/);
  await hand.type(named('Name of the board'), 'By the sink');
  fireEvent.change(named('Body'), { target: { value: 'Peat' } });
  paste('Row A, coating', 'Pitch, Tarn');
  await press(hand, 'Bring in 5 tiles');
  await screen.findByText(/wrong way/);
  expect(named('Row B, coating').value).toBe('Tarn');
  // One picture is one act, whatever is said of it: a lost answer would double its tiles.
  const ids = () => sent.map(({ body }) => body.id);
  await hand.type(named('Name of the board'), '!');
  await press(hand, 'Bring in 5 tiles');
  await waitFor(() => expect(ids()).toHaveLength(2));
  // What is no number is said before anything is sent; a name in other marks is no new one.
  paste('Column 1, coating', 'tarn., PITCH');
  expect(screen.queryByText(/New in the store/)).toBeNull();
  fireEvent.change(named('Coats above'), { target: { value: 'two' } });
  expect(screen.getByText('Say its coats in numbers first.')).toBeTruthy();
  fireEvent.change(named('Coats above'), { target: { value: '1' } });
  shown.unmount();
  const again = room();
  open();
  await screen.findByText(/5 tiles; 1 place/);
  expect([named('Name of the board').value, named('Row B, coating').value]).toEqual(['By the sink!', 'Tarn']);
  again.unmount();
  const other = room();
  open('other.jpg');
  await screen.findByText(/5 tiles; 1 place/);
  await press(hand, 'Bring in 5 tiles');
  await waitFor(() => expect(ids()).toHaveLength(3));
  other.unmount();
  room();
  open();
  await screen.findByText(/5 tiles; 1 place/);
  answer = {
    code: 'arrived',
    message: 'It did arrive.',
    details: { lotId: id(9), pieceIds: [id(1)], coatingIds: [], bodies: 0, measured: 0, chart: null },
  };
  await press(hand, 'Bring in 5 tiles');
  await screen.findByText('On record: 1 tile of this board');
  expect(screen.getByText('It did arrive.')).toBeTruthy();
  expect(ids().map((one) => ids().indexOf(one))).toEqual([0, 0, 2, 0]);
});

test('pasted headings fill what follows and nothing beyond the board', () => {
  expect(headed([], 1, ['a', 'b', 'c'], 3)).toEqual(['', 'a', 'b']);
  expect(headed(['x', 'y', 'z'], 0, ['a'], 2)).toEqual(['a', 'y']);
  expect(NOTHING_SAID.atmosphere).toBe('unknown');
});
