import '../../../../test-support/on-device';
import { jest } from '@jest/globals';
import { act, waitFor } from '@testing-library/react';
import { person, press, screen, server, show, within } from '../../../../test-support/dom';
import type { DuePiece } from '../looks';

const { SenderHost } = await import('@/platform/sender/host');
const { AskAgain } = await import('./AskAgain');
const { DueLooks } = await import('./DueLooks');
const { PingCounter } = await import('./PingCounter');

const ID = '0192c7cd-5baa-71a4-a619-90db87e8';
const piece = (n: number, rest: Partial<DuePiece> = {}): DuePiece => ({
  pieceId: `${ID}100${n}`,
  firingId: `${ID}2000`,
  code: `A7CF${n}`,
  firing: 'Marta 1',
  after: 'a month',
  dueOn: '2026-05-08',
  sha: null,
  now: 'gloss',
  surface: 'gloss',
  signs: [],
  pings: [],
  ...rest,
});
let no = 0;
const due = (pieces: DuePiece[]) =>
  show(
    <SenderHost>
      <DueLooks pieces={pieces} />
    </SenderHost>,
    { person: `${ID}30${String(++no).padStart(2, '0')}` },
  );
/** Nothing is kept before the device has been looked through. */
async function keep(hand: ReturnType<typeof person>, name: string): Promise<void> {
  const button = screen.getByRole<HTMLButtonElement>('button', { name });
  await waitFor(() => expect(button.disabled).toBe(false));
  await hand.click(button);
}
const looks = (sent: ReturnType<typeof server>) =>
  sent
    .filter(({ path }) => path.endsWith('opening.record'))
    .map(({ body }) => body.input as { pieces: object[]; seen: { signs: object[] } });

test('all as they were but one that crazed: two acts for a whole shelf', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  due([piece(1), piece(2), piece(3)]);
  await press(hand, 'All of them are as they were');
  await hand.click(
    within(screen.getByRole('group', { name: 'Crazing of A7CF2' })).getByRole('button', {
      name: 'slight',
    }),
  );
  await keep(hand, 'Keep the looks at 3 pieces');
  await screen.findByText('3 pieces looked at again');
  await screen.findByText('Nothing is due.');
  await waitFor(() => expect(screen.queryByRole('region')).toBeNull());
  await waitFor(() => expect(looks(sent)).toHaveLength(2));
  const told = looks(sent);
  expect(told.map(({ pieces, seen }) => [pieces.length, seen.signs])).toEqual([
    [2, []],
    [1, [{ sign: 'crazing', severity: 1, wanted: false }]],
  ]);
});

test('without a network it is kept, and what was looked at is not due any more', async () => {
  server(() => {
    throw new TypeError('no network');
  });
  const hand = person();
  due([piece(1), piece(2)]);
  await hand.click(screen.getByLabelText('A7CF1 was looked at'));
  await keep(hand, 'Keep the looks at 1 piece');
  expect(await screen.findByRole('region', { name: 'A7CF2' })).toBeTruthy();
  await waitFor(() => expect(screen.queryByRole('region', { name: 'A7CF1' })).toBeNull());
});

test('what pinged before stands beside what is heard now', () => {
  due([piece(1, { pings: [12, 5] })]);
  expect(screen.getByText('pinged 12 times a minute, now 5')).toBeTruthy();
});

describe('counting pings', () => {
  let pings: number | null | undefined;
  const begin = () => {
    jest.useFakeTimers();
    pings = undefined;
    show(<PingCounter pings={null} onPings={(heard) => (pings = heard)} />);
  };
  const touch = (name: RegExp | string) => act(async () => screen.getByRole('button', { name }).click());
  const pass = (seconds: number) => act(() => jest.advanceTimersByTimeAsync(seconds * 1000));
  afterEach(() => void jest.useRealTimers());

  test('a minute of listening, a touch for each', async () => {
    begin();
    await touch('Listen for a minute');
    for (let i = 0; i < 3; i++) await touch(/^Ping/);
    await pass(59);
    expect(pings).toBeUndefined();
    await pass(2);
    expect(pings).toBe(3);
  });

  test('ended after half of it, it is reckoned up to a minute; ended sooner it says nothing', async () => {
    begin();
    await touch('Listen for a minute');
    await touch(/^Ping/);
    await touch(/^Ping/);
    await pass(30);
    await touch('Enough');
    expect(pings).toBe(4);
    pings = undefined;
    await touch('Listen for a minute');
    await touch(/^Ping/);
    await pass(5);
    await touch('Enough');
    expect(pings).toBeUndefined();
  });
});

test('a whole load is asked for in one touch, and says so where it was', async () => {
  const sent = server(() => ({ ok: true, data: { ids: ['x'] } }));
  const hand = person();
  const ids = [piece(1).pieceId, piece(2).pieceId];
  show(<AskAgain firingId={`${ID}2000`} pieceIds={ids} asked={[{ days: 7, pieces: 2 }]} />);
  expect(screen.getByRole('button', { name: 'a week: 2' })).toHaveProperty('disabled', true);
  await press(hand, 'a month');
  expect(sent[0]!.body.input).toEqual({ firingId: `${ID}2000`, pieceIds: ids, days: 30 });
  expect(screen.getByText('On the Bench again after a month')).toBeTruthy();
});
