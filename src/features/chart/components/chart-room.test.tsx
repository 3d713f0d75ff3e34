import { SI } from '@/core/units';
import type { Studio } from '@/data/studio';
import { person, press, screen, server, show } from '../../../../test-support/dom';
import type { BoardSent } from '../board-answer';

const { ThemeProvider } = await import('@mui/material/styles');
const { theme } = await import('@/ui/theme');
const { NuqsTestingAdapter } = await import('nuqs/adapters/testing');
const { ChartRoom } = await import('./ChartRoom');

const studio: Studio = {
  name: 'Yard',
  timeZone: 'UTC',
  temperatureUnit: 'C',
  lengthUnit: 'mm',
  massUnit: 'g',
  crackAtC: 150,
  unloadAtC: 80,
};
const board = (rest: Partial<NonNullable<BoardSent>> = {}): NonNullable<BoardSent> => ({
  bodies: [{ slug: 'peat', name: 'Peat' }],
  names: { tarn: 'Tarn' },
  chosen: { body: 'peat', bodyName: 'Peat', cone: '6', atmosphere: 'oxidation', slips: '' },
  cones: ['6'],
  atmospheres: ['oxidation'],
  grounds: [''],
  refires: true,
  axis: [{ slug: 'tarn', name: 'Tarn', colour: '#888888' }],
  positions: [],
  deeper: [],
  corner: false,
  ...rest,
});
// A share's own address, so that no test is shown the board of another.
let no = 0;
const room = (corner: BoardSent, mayMake = true) => {
  const share = `s${++no}`;
  return show(
    <ThemeProvider theme={theme}>
      <NuqsTestingAdapter>
        <ChartRoom title="Chart" studio={studio} share={share} corner={corner} mayMake={mayMake} />
      </NuqsTestingAdapter>
    </ThemeProvider>,
    { units: SI },
  );
};

test('the board comes by itself; until it is there its place is kept', async () => {
  const sent = server(() => ({ ok: true, data: board() }));
  room(null);
  expect(screen.getByRole('status', { name: 'The board is on its way' })).toBeTruthy();
  expect(await screen.findByText(/0 combinations seen/)).toBeTruthy();
  expect(sent[0]!.path).toMatch(/^\/api\/board\?share=/);
});

test('a corner that came with the page is shown at once, and counts nothing until the whole is there', async () => {
  server(() => ({ ok: true, data: board() }));
  room(board({ corner: true }));
  expect(screen.getByRole('grid')).toBeTruthy();
  expect(screen.getByText(/…/)).toBeTruthy();
  expect(await screen.findByText(/0 combinations seen/)).toBeTruthy();
});

test('a stack of three coats is counted, and said to stand below the grid', async () => {
  const deep: NonNullable<BoardSent>['deeper'][number] = {
    id: 'c1',
    slips: '',
    depth: 3,
    base: null,
    over: null,
    stackKey: 'tarn#1 dip×1 + tarn#1 dip×1 + tarn#1 dip×1',
    standing: 'once',
    pieces: 1,
    firings: 1,
    surface: 'gloss',
    movementMm: null,
    rating: null,
    signs: [],
    later: [],
    known: { read: 1 },
    refired: false,
    photo: null,
    cut: null,
    example: null,
  };
  server(() => ({ ok: true, data: board({ deeper: [deep] }) }));
  room(null);
  expect(
    await screen.findByText(/1 combination seen, 1 of them of three coats and more, below the grid/),
  ).toBeTruthy();
  expect(screen.getByText('Three coats and more')).toBeTruthy();
});

test('no connection: said in words with a way to try again, and what is there stays', async () => {
  let away = true;
  server(() =>
    away
      ? { ok: false, problem: { code: 'database-away', message: 'It does not answer.' } }
      : { ok: true, data: board() },
  );
  const hand = person();
  room(board({ corner: true }));
  expect(await screen.findByText(/It does not answer\. What is shown may be older/)).toBeTruthy();
  expect(screen.getByRole('grid')).toBeTruthy();
  away = false;
  await press(hand, 'Try again');
  expect(await screen.findByText(/0 combinations seen/)).toBeTruthy();
});

test('a studio without a cell is told what begins the chart, and who may not begin it is not sent there', async () => {
  server(() => ({ ok: true, data: null }));
  const { unmount } = room(null);
  expect(await screen.findByText('To the store')).toBeTruthy();
  unmount();
  room(null, false);
  expect(await screen.findByText(/The chart fills as openings are written up/)).toBeTruthy();
  expect(screen.queryByText('To the store')).toBeNull();
});
