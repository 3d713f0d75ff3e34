import { blank, isWritten, nextUnwritten, tally, withRecord, type RoomPiece } from './room';

const piece = (id: string, rest: Partial<RoomPiece> = {}): RoomPiece => ({
  id,
  code: id.toUpperCase(),
  mark: null,
  kind: 'tile',
  form: 'L tile',
  bodyName: 'Peat',
  bodyColour: '#000000',
  lotId: null,
  owner: null,
  shelf: 1,
  setting: 'shelf',
  generation: 1,
  flags: [],
  faces: [],
  layers: [],
  otherwise: [],
  photos: [],
  seen: {},
  ...rest,
});

test('the next piece is the next unwritten one, going round; none when all are written', () => {
  const pieces = ['a', 'b', 'c'].map((id) => piece(id));
  expect(nextUnwritten(pieces, 'a', new Set(['b']))).toBe('c');
  expect(nextUnwritten(pieces, 'c', new Set(['c']))).toBe('a');
  expect(nextUnwritten(pieces, 'a', new Set(['a', 'b', 'c']))).toBeNull();
  expect(nextUnwritten(pieces, 'a', new Set(['b', 'c']))).toBeNull();
});

test('a tile is kept as a test unless somebody decides otherwise', () => {
  expect(blank('tile').verdict).toBe('study');
  expect(blank('ware').verdict).toBe('keep');
});

test('the tally names what is missing, shelves to grind, refires and owners', () => {
  const pieces = [
    piece('a', { owner: 'Noor' }),
    piece('b', { shelf: 3 }),
    piece('c'),
    piece('d', { setting: 'waster', shelf: 2 }),
  ];
  const stuck = [{ sign: 'stuck', severity: 2 as const, wanted: false }];
  const said = new Map([
    ['a', { ...blank('tile'), verdict: 'refire' as const }],
    ['b', { ...blank('tile'), signs: stuck }],
    ['d', { ...blank('tile'), signs: stuck }],
  ]);
  expect(tally(pieces, (one) => said.get(one.id) ?? null)).toEqual({
    written: 3,
    all: 4,
    missing: ['C'],
    grind: [3],
    refire: ['A'],
    tell: [{ owner: 'Noor', codes: ['A'] }],
  });
});

test('words kept on the device count as written, for the pieces and the zone they are of', () => {
  const pieces = ['a', 'b', 'c'].map((id) => piece(id));
  const entry = (pieceId: string) => ({ pieceId, observationId: `o-${pieceId}`, basedOn: null });
  const said = { firingId: 'f', zone: null, seen: blank('tile'), pieces: [entry('a'), entry('b')] };
  const after = withRecord(pieces, said, 'Iben', '2026-01-01');
  expect(after.map(isWritten)).toEqual([true, true, false]);
  expect(after[0]?.seen['']).toMatchObject({ id: 'o-a', by: 'Iben' });
  const zoned = withRecord(
    after,
    { ...said, zone: '1|0-500|0-1000|all', pieces: [entry('c')] },
    'Iben',
    '2026-01-01',
  );
  expect(zoned.map(isWritten)).toEqual([true, true, false]);
  expect(pieces.some(isWritten)).toBe(false);
});
