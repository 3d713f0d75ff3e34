import { actsOf, crazingOf, seenAgain, type DuePiece } from './looks';

const piece = (pieceId: string, rest: Partial<DuePiece> = {}): DuePiece => ({
  pieceId,
  firingId: 'f',
  code: pieceId.toUpperCase(),
  firing: 'Marta 1',
  after: 'a week',
  dueOn: '2026-05-08',
  sha: null,
  now: '',
  surface: 'gloss',
  signs: [],
  pings: [],
  ...rest,
});
const CRAZED = { sign: 'crazing', severity: 2, wanted: true } as const;
const PITS = { sign: 'pit', severity: 1, wanted: false } as const;

test('what is known stays said; crazing is as it was found, and wanted if it was', () => {
  const known = piece('a', { signs: [CRAZED, PITS] });
  expect(crazingOf(known.signs)).toBe(2);
  expect(seenAgain(known, { crazing: 3, pings: 4 })).toMatchObject({
    surface: 'gloss',
    pings: 4,
    verdict: null,
    signs: [PITS, { ...CRAZED, severity: 3 }],
  });
  expect(seenAgain(known, { crazing: 0, pings: null }).signs).toEqual([PITS]);
  expect(seenAgain(piece('b'), { crazing: 1, pings: null }).signs).toEqual([
    { sign: 'crazing', severity: 1, wanted: false },
  ]);
});

test('what says the same of one firing is one act; rows of which nothing was said are none', () => {
  const same = { crazing: 0, pings: null } as const;
  const pieces = [
    piece('a'),
    piece('b'),
    piece('c', { firingId: 'g' }),
    piece('d'),
    piece('e', { signs: [PITS] }),
  ];
  const acts = actsOf(pieces, { a: same, b: same, c: same, e: same });
  expect(acts.map(({ firingId, codes }) => [firingId, codes])).toEqual([
    ['f', ['A', 'B']],
    ['g', ['C']],
    ['f', ['E']],
  ]);
  expect(new Set(acts.flatMap((act) => act.pieces.map(({ observationId }) => observationId))).size).toBe(4);
});
