import {
  blank,
  formStart,
  isWritten,
  looksAt,
  nextUnwritten,
  nowOf,
  tally,
  usualSaying,
  withRecord,
  type RoomPiece,
} from './room';

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
  joined: null,
  keyKnown: 'sure',
  before: null,
  flags: [],
  faces: [],
  layers: [],
  otherwise: [],
  cautions: [],
  photos: [],
  looks: {},
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
    piece('b', { shelf: 3, joined: 'x' }),
    piece('c'),
    piece('d', { setting: 'waster', shelf: 2 }),
  ];
  const stuck = [{ sign: 'stuck', severity: 2 as const, wanted: false }];
  const said = new Map([
    ['a', { ...blank('tile'), verdict: 'refire' as const }],
    ['b', { ...blank('tile'), signs: stuck }],
    ['d', { ...blank('tile'), signs: [...stuck, { sign: 'dunt', severity: 1 as const, wanted: false }] }],
  ]);
  expect(tally(pieces, (one) => said.get(one.id) ?? null)).toEqual({
    written: 3,
    all: 4,
    joined: 1,
    missing: ['C'],
    broken: ['D'],
    grind: [3],
    refire: ['A'],
    verdicts: [
      { verdict: 'study', n: 2 },
      { verdict: 'refire', n: 1 },
    ],
  });
});

test('words kept on the device count as written, for the pieces and the zone they are of', () => {
  const pieces = ['a', 'b', 'c'].map((id) => piece(id));
  const iben = { id: 'i', name: 'Iben' };
  const entry = (pieceId: string) => ({ pieceId, observationId: `o-${pieceId}`, corrects: null });
  const said = { firingId: 'f', zone: null, seen: blank('tile'), pieces: [entry('a'), entry('b')] };
  const after = withRecord(pieces, said, iben);
  expect(after.map(isWritten)).toEqual([true, true, false]);
  expect(after[0]?.looks['']).toMatchObject([{ id: 'o-a', by: iben }]);
  const zoned = withRecord(after, { ...said, zone: '1|0-500|0-1000|all', pieces: [entry('c')] }, iben);
  expect(zoned.map(isWritten)).toEqual([true, true, false]);
  expect(pieces.some(isWritten)).toBe(false);
});

describe('several looks at one piece', () => {
  const [iben, noor] = [
    { id: 'i', name: 'Iben' },
    { id: 'n', name: 'Noor' },
  ];
  const entry = (observationId: string, corrects: string | null = null) => ({
    pieceId: 'a',
    observationId,
    corrects,
  });
  const said = (one: ReturnType<typeof entry>, day: number, rest: Partial<ReturnType<typeof blank>>) => ({
    firingId: 'f',
    zone: null,
    seenAt: `2026-03-${String(day).padStart(2, '0')}T10:00:00.000Z`,
    seen: { ...blank('tile'), ...rest },
    pieces: [one],
  });
  const crazed = [{ sign: 'crazing', severity: 2 as const, wanted: false }];

  test('another person’s look stands beside; a correction takes the place of one', () => {
    const first = withRecord([piece('a')], said(entry('1'), 1, { surface: 'gloss' }), iben);
    const both = withRecord(first, said(entry('2'), 1, { surface: 'satin' }), noor);
    expect(looksAt(both[0]!, null).map(({ id }) => id)).toEqual(['1', '2']);
    const right = withRecord(both, said(entry('3', '2'), 2, { surface: 'gloss' }), noor);
    expect(looksAt(right[0]!, null).map(({ id }) => id)).toEqual(['1', '3']);
  });

  test('the form of a later look begins with what the piece is now, that of a correction with its words', () => {
    const looks = withRecord(
      withRecord([piece('a')], said(entry('1'), 1, { surface: 'gloss', note: 'first' }), iben),
      said(entry('2'), 20, { signs: crazed, verdict: 'discard', rating: 2 }),
      noor,
    )[0]!;
    expect(formStart(looks, null, null)).toMatchObject({
      surface: 'gloss',
      rating: 2,
      signs: crazed,
      verdict: 'discard',
      note: '',
    });
    expect(formStart(looks, null, looksAt(looks, null)[0]!)).toMatchObject({
      note: 'first',
      signs: [],
    });
    expect(formStart(piece('b'), null, null)).toEqual(blank('tile'));
    expect(formStart(piece('b'), 'z', null).verdict).toBeNull();
    expect(nowOf([])).toBeNull();
  });

  test('one’s own words of the day are put right by default, later and others’ are not', () => {
    const looks = looksAt(withRecord([piece('a')], said(entry('1'), 1, {}), iben)[0]!, null);
    expect(usualSaying(looks, iben, '2026-03-01T20:00:00.000Z')?.id).toBe('1');
    expect(usualSaying(looks, iben, '2026-03-03T20:00:00.000Z')).toBeNull();
    expect(usualSaying(looks, noor, '2026-03-01T20:00:00.000Z')).toBeNull();
  });
});
