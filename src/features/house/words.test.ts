import type { HouseState, ListedBackup } from '@/keeper/state';
import { spokenBytes, worries } from './words';

const NOW = new Date('2026-06-10T12:00:00Z');
const ago = (days: number): string => new Date(NOW.getTime() - days * 86_400_000).toISOString();
const backup = (rest: Partial<ListedBackup> = {}): ListedBackup => ({
  name: 'one',
  kind: 'night',
  made: ago(0.4),
  studio: 'Kiln Lane',
  bytes: 5e6,
  pictures: 3,
  verified: { at: ago(3), ok: true, said: 'It comes up.' },
  ...rest,
});
const house = (rest: Partial<HouseState> = {}): HouseState => ({
  at: ago(0),
  since: ago(30),
  falls: [],
  freeBytes: 50 * 1024 ** 3,
  backups: [backup()],
  elsewhere: { path: '/disk', wrong: null },
  busy: null,
  last: null,
  ...rest,
});
const keys = (rest: Partial<HouseState>): string[] => worries(house(rest), NOW).map(({ key }) => key);

test.each([
  ['all is well', {}, []],
  ['no room', { freeBytes: 1e9 }, ['disk']],
  ['none after two days', { backups: [], elsewhere: null }, ['none']],
  ['none, but it has only just begun', { backups: [], since: ago(1), elsewhere: null }, []],
  ['two nights missed', { backups: [backup({ made: ago(2.1) })] }, ['late']],
  ['never tried', { backups: [backup({ verified: null })] }, ['untried']],
  ['tried long ago', { backups: [backup({ verified: { at: ago(31), ok: true, said: '' } })] }, ['untried']],
  [
    'tried, and it did not come up',
    { backups: [backup({ verified: { at: ago(1), ok: false, said: 'It is cut off.' } })] },
    ['failed', 'untried'],
  ],
  ['only here', { elsewhere: null }, ['elsewhere']],
  ['the other disk is away', { elsewhere: { path: '/disk', wrong: 'not there' } }, ['away']],
  ['it fell', { falls: [{ at: ago(0.5), word: 'The database ended by itself.' }] }, ['fell']],
  ['it fell last week', { falls: [{ at: ago(7), word: 'The database ended by itself.' }] }, []],
])('%s', (_, rest, expected) => {
  expect(keys(rest)).toEqual(expected);
});

test('the gravest comes first, with what to do', () => {
  const [first, ...rest] = worries(house({ freeBytes: 1e8, elsewhere: null }), NOW);
  expect(first).toMatchObject({ key: 'disk', what: 'The disk is nearly full: 95 MB left' });
  expect(rest.map(({ key }) => key)).toEqual(['elsewhere']);
  expect([1, 5e6, 3e9].map(spokenBytes)).toEqual(['1 MB', '5 MB', '2.8 GB']);
});
