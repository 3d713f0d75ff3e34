import { jest } from '@jest/globals';
import type { TrayItem } from '@/platform/sender/store';
import { person, press, screen, show } from '../../../../test-support/dom';
import type { RoomPiece } from '../room';
import type { OpeningTray } from '../useOpeningTray';

const { Tray } = await import('./Tray');

const PIECES = [
  { id: 'a', code: 'K3RVT' },
  { id: 'b', code: 'PXTHW' },
] as RoomPiece[];
const item = (id: string): TrayItem => ({
  id,
  person: 'p',
  about: 'x',
  kind: 'picture',
  at: Date.UTC(2026, 4, 3, 9, 30),
  fileName: `${id}.heic`,
  thumb: null,
});

const tray = (rest: Partial<OpeningTray> = {}): OpeningTray =>
  ({
    items: [item('1'), item('2')],
    chosen: new Set(),
    choose: jest.fn(),
    inOrder: () => [],
    layAll: jest.fn(() => Promise.resolve(() => Promise.resolve())),
    throwChosen: jest.fn(() => Promise.resolve(() => Promise.resolve())),
    ...rest,
  }) as unknown as OpeningTray;

test('an empty tray says what it is for', () => {
  show(<Tray tray={tray({ items: [] })} pieces={PIECES} />);
  expect(screen.getByText(/Take pictures or speak now and say later/)).toBeTruthy();
});

test('a picture that this browser cannot show stands there by its name, and is chosen by touch', async () => {
  const own = tray();
  const hand = person();
  show(<Tray tray={own} pieces={PIECES} />);
  expect(screen.getByText('1.heic')).toBeTruthy();
  await press(hand, /^Picture 2, taken/);
  expect(own.choose).toHaveBeenCalledWith('2');
});

test('in the order of the plan: it says on which pieces before it lays them', async () => {
  const pairs = PIECES.map((piece, i) => ({ picture: String(i + 1), piece }));
  const own = tray({ inOrder: (from) => (from === 'b' ? pairs.slice(1) : pairs) });
  const hand = person();
  show(<Tray tray={own} pieces={PIECES} />);
  await press(hand, 'Lay 2 pictures on K3RVT to PXTHW');
  expect(own.layAll).toHaveBeenCalledWith(pairs);
});

test('where every piece has a picture nothing can be laid by the plan', () => {
  show(<Tray tray={tray()} pieces={PIECES} />);
  expect(screen.getByRole('button', { name: 'No piece without a picture' }).hasAttribute('disabled')).toBe(
    true,
  );
});
