import type { HouseState } from '@/keeper/state';
import { named, person, press, screen, server, show } from '../../../../test-support/dom';

const { BackupRoom } = await import('./BackupRoom');

const now = new Date().toISOString();
const state = (rest: Partial<HouseState> = {}): HouseState => ({
  at: now,
  since: now,
  falls: [],
  freeBytes: 5e11,
  backups: [
    {
      name: '2026-06-10T0100-night-ab12',
      kind: 'night',
      made: now,
      studio: 'Kiln Lane',
      bytes: 4e6,
      pictures: 12,
      verified: null,
    },
  ],
  elsewhere: null,
  busy: null,
  last: null,
  ...rest,
});
const room = (first = state()) => show(<BackupRoom first={first} studio="Kiln Lane" timeZone="UTC" />);

test('what there is, what is missing, and making one; what is being done is told and nothing else begun', async () => {
  const busy = state({ busy: { what: 'a backup', said: 'the database', since: now } });
  const sent = server(({ path, body }) => ({
    ok: true,
    data: path === '/api/house/act' && body.input === undefined ? busy : null,
  }));
  const hand = person();
  room();
  expect(screen.getByText('nightly, 4 MB, 12 pictures')).toBeTruthy();
  expect(screen.getByText('Not tried yet.')).toBeTruthy();
  expect(screen.getByText('All backups lie on the studio’s own disk')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'As a file' }).getAttribute('href')).toBe(
    '/api/house/file?name=2026-06-10T0100-night-ab12',
  );
  await press(hand, 'Make a backup now');
  expect(sent[0]).toMatchObject({ path: '/api/house/act', body: { act: 'backup' } });
  expect(await screen.findByText('a backup: the database …')).toBeTruthy();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Try it' }).disabled).toBe(true);
});

test('bringing one back is meant only when the studio’s name is typed', async () => {
  const sent = server(() => ({ ok: true, data: state() }));
  const hand = person();
  room();
  await press(hand, 'Bring it back …');
  const really = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Bring it back' });
  await hand.type(named(/to say that you mean it/), 'Kiln');
  expect(really().disabled).toBe(true);
  await hand.type(named(/to say that you mean it/), ' Lane');
  expect(really().disabled).toBe(false);
  await press(hand, 'Bring it back');
  expect(sent[0]!.body).toEqual({
    act: 'restore',
    name: '2026-06-10T0100-night-ab12',
    typed: 'Kiln Lane',
  });
});

test('the keeper’s own words are shown when it cannot; a folder is kept as it was typed', async () => {
  const message = 'That folder is on the same disk as the studio: choose one on another disk.';
  server(({ body }) =>
    'act' in body ? { ok: false, problem: { code: 'invalid', message } } : { ok: true, data: state() },
  );
  const hand = person();
  room();
  await hand.type(named(/Folder on another disk/), '/home/here');
  await press(hand, 'Copy there');
  expect(await screen.findByText(message)).toBeTruthy();
  expect(named(/Folder on another disk/).value).toBe('/home/here');
});

test('without any it says when they are made', () => {
  server(() => ({ ok: true, data: state() }));
  room(state({ backups: [] }));
  expect(screen.getByText(/None yet. One is made every night after three/)).toBeTruthy();
});
