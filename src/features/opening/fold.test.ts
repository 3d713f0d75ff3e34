import type { Item } from '@/platform/sender/store';
import type { SeenInput } from './contracts';
import { casesAsked, withItems } from './fold';
import { NOTHING_SEEN } from './contracts';
import { isWritten, looksAt, type RoomPiece } from './room';

const ME = { id: 'iben', name: 'Iben' };
const MADE = Date.UTC(2026, 5, 1, 12);
const piece = (id: string, looks: RoomPiece['looks'] = {}) => ({ id, code: id, looks }) as RoomPiece;
const seen = (surface: SeenInput['surface']): SeenInput => ({ ...NOTHING_SEEN, surface });
const item = (rest: Partial<Item>): Item =>
  ({ state: 'waiting', sentAt: null, name: 'opening.record', input: null, ...rest }) as Item;
const record = (ids: readonly [string, string][], rest: Partial<Item> = {}, corrects: string | null = null) =>
  item({
    input: {
      firingId: 'f',
      pieces: ids.map(([pieceId, observationId]) => ({ pieceId, observationId, corrects })),
      zone: null,
      seenAt: null,
      place: 'kiln',
      seen: seen('gloss'),
    },
    ...rest,
  });
const withdraw = (ids: string[]) => item({ name: 'opening.withdraw', input: { observationIds: ids } });
const fold = (pieces: RoomPiece[], items: Item[]) => withItems(pieces, items, MADE, ME);
const looks = (pieces: RoomPiece[]) => pieces.map((one) => looksAt(one, null).map(({ id }) => id));

test('what waits is said already; what was refused was never said', () => {
  const pieces = [piece('a'), piece('b')];
  expect(
    looks(
      fold(pieces, [
        record([
          ['a', 'o1'],
          ['b', 'o2'],
        ]),
      ]),
    ),
  ).toEqual([['o1'], ['o2']]);
  expect(looks(fold(pieces, [record([['a', 'o1']], { state: 'sending' })]))).toEqual([['o1'], []]);
  expect(looks(fold(pieces, [record([['a', 'o1']], { state: 'refused' })]))).toEqual([[], []]);
});

test('what was sent is added to a page that is older than that, and not to one that may hold it', () => {
  const sent = (at: number) => [record([['a', 'o1']], { state: 'sent', sentAt: at })];
  expect(looks(fold([piece('a')], sent(MADE + 1)))).toEqual([['o1']]);
  expect(looks(fold([piece('a')], sent(MADE - 1)))).toEqual([[]]);
  // The page was made while it came in: it is there once.
  const there = { id: 'o1', by: ME, at: '2026-06-01T12:00:00Z', place: 'kiln' as const, seen: seen('gloss') };
  expect(looks(fold([piece('a', { '': [there] })], sent(MADE + 1)))).toEqual([['o1']]);
});

test('a correction stands in the place of what it corrects, also of what waits itself', () => {
  const items = [record([['a', 'o1']]), record([['a', 'o2']], {}, 'o1')];
  expect(looks(fold([piece('a')], items))).toEqual([['o2']]);
});

test('what is taken back is gone, whether the page has it or this device alone', () => {
  const there = { id: 'o0', by: ME, at: '2026-06-01T12:00:00Z', place: 'kiln' as const, seen: seen('matt') };
  const items = [
    record([
      ['a', 'o1'],
      ['b', 'o2'],
    ]),
    withdraw(['o1', 'o2']),
    withdraw(['o0']),
  ];
  const after = fold([piece('a', { '': [there] }), piece('b')], items);
  expect(looks(after)).toEqual([[], []]);
  expect(after.some(isWritten)).toBe(false);
});

test('cases that were asked for here are known by their piece; refused ones are not', () => {
  const ask = (pieceId: string, id: string, state: Item['state'] = 'waiting') =>
    item({ name: 'clinic.open', input: { id, pieceId }, state });
  expect(casesAsked([ask('a', 'c1'), ask('b', 'c2', 'refused'), record([['a', 'o1']])])).toEqual({ a: 'c1' });
});
