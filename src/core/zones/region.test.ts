import {
  NAMED_SECTORS,
  NAMED_STRETCHES,
  describeAmount,
  describeRegion,
  describeRelief,
  describeSector,
  describeStretch,
  deviations,
  faceWords,
  inSector,
  isRound,
  nameIn,
  resolveStretch,
  slipNames,
  EVERYWHERE,
} from './index';
import type { Layer, Mark } from './index';
import { dip } from '../../../test-support/layers';

describe('a stretch as a person gives it', () => {
  const mark = (value: number, from: Mark['from'], unit: Mark['unit'] = 'mm'): Mark => ({
    value,
    from,
    unit,
  });
  test.each([
    [mark(0, 'foot'), mark(30, 'foot'), 0, 0.25],
    [mark(30, 'rim'), mark(0, 'rim'), 0.75, 1],
    [mark(90, 'foot'), mark(30, 'foot'), 0.25, 0.75],
    [mark(0.5, 'foot', 'fraction'), mark(0, 'rim', 'fraction'), 0.5, 1],
    [mark(0, 'foot'), mark(120, 'foot'), 0, 1],
  ])('%j to %j is %f to %f', (a, b, from, to) => {
    expect(resolveStretch(a, b, 120)).toEqual({ ok: true, stretch: { from, to } });
  });

  test.each([
    [
      mark(0, 'foot'),
      mark(130, 'foot'),
      120,
      '130 mm from the foot is beyond the rim: the face is 120 mm long.',
    ],
    [
      mark(130, 'rim'),
      mark(0, 'rim'),
      120,
      '130 mm from the rim is beyond the foot: the face is 120 mm long.',
    ],
    [
      mark(0, 'foot'),
      mark(1.2, 'rim', 'fraction'),
      120,
      '1.2 of the face is beyond the foot; the whole face is 1.',
    ],
    [
      mark(1.2, 'foot', 'fraction'),
      mark(0, 'foot'),
      120,
      '1.2 of the face is beyond the rim; the whole face is 1.',
    ],
    [mark(10, 'foot'), mark(10, 'foot'), 120, 'The stretch begins where it ends.'],
    [
      mark(0, 'foot'),
      mark(10, 'foot'),
      null,
      'To give a stretch in length, give the height of the piece first.',
    ],
    [
      mark(0, 'foot'),
      mark(10, 'foot'),
      0,
      'To give a stretch in length, give the height of the piece first.',
    ],
    [mark(-1, 'foot'), mark(10, 'foot'), 120, 'A stretch is measured upwards from 0.'],
    [mark(Number.NaN, 'foot'), mark(10, 'foot'), 120, 'A stretch is measured upwards from 0.'],
  ])('%j to %j on %s mm is refused: %s', (a, b, length, message) => {
    expect(resolveStretch(a, b, length)).toEqual({ ok: false, message });
  });

  test('what lies a rounding error beyond the rim is the rim', () => {
    const result = resolveStretch(mark(0, 'foot'), mark(120 + 1e-8, 'foot'), 120);
    expect(result).toEqual({ ok: true, stretch: { from: 0, to: 1 } });
  });
});

describe('a region in words', () => {
  test('every named stretch and sector is said by its name, a hair off as well', () => {
    for (const { name, stretch } of NAMED_STRETCHES) {
      expect(describeStretch(stretch)).toBe(name);
      expect(describeStretch({ from: stretch.from + 0.004, to: stretch.to - 0.004 })).toBe(name);
    }
    for (const { name, sector } of NAMED_SECTORS) expect(describeSector(sector)).toBe(name);
    expect(describeStretch({ from: 0, to: 0.51 })).toBe('0–51 % up');
    expect(describeStretch({ from: 0.1, to: 0.35 })).toBe('10–35 % up');
    expect(describeSector({ from: 0.1, to: 0.3 })).toBe('36–108°');
  });

  test('only what narrows it is said', () => {
    expect(describeRegion(EVERYWHERE)).toBe('foot to rim');
    expect(
      describeRegion({
        stretch: { from: 0, to: 1 / 2 },
        sector: { from: 0.75, to: 0.25 },
        relief: 'hollows',
      }),
    ).toBe('lower half, front half, in the hollows');
  });

  test.each([
    ['hollows', 'in the hollows'],
    ['raised', 'on the raised parts'],
    ['flat', 'on the plain parts'],
    ['motif:fish', 'on the fish'],
    ['flat+raised', 'on the plain parts and on the raised parts'],
    ['glass', 'glass'],
  ])('relief %s is said as “%s”', (relief, words) => {
    expect(describeRelief(relief)).toBe(words);
  });
});

describe('turns', () => {
  test.each([
    [0, { from: 0, to: 0.5 }, true],
    [0.5, { from: 0, to: 0.5 }, false],
    [0.25, { from: 0.25, to: 0.75 }, true],
    [0.9, { from: 0.75, to: 0.25 }, true],
    [0.1, { from: 0.75, to: 0.25 }, true],
    [0.25, { from: 0.75, to: 0.25 }, false],
    [0.5, { from: 0.75, to: 0.25 }, false],
  ])('%f in %j: %s', (turn, sector, inside) => {
    expect(inSector(turn, sector)).toBe(inside);
  });

  test('round is the whole turn only', () => {
    expect(isRound({ from: 0, to: 1 })).toBe(true);
    expect(isRound({ from: 0.004, to: 0.996 })).toBe(true);
    expect(isRound({ from: 0, to: 0.5 })).toBe(false);
    expect(isRound({ from: 0.5, to: 1 })).toBe(false);
  });
});

test.each([
  ['dip×1', '1 dip'],
  ['dip×2', '2 dips'],
  ['brush×1', '1 coat'],
  ['brush×3 thin', '3 coats, thin'],
  ['spray×1', '1 sprayed coat'],
  ['spray×2 heavy', '2 sprayed coats, heavy'],
  ['trail×1', 'trailed'],
  ['trail×2', '2 trailed'],
  ['sponge×1', '1 sponged coat'],
  ['sponge×2', '2 sponged coats'],
  ['inlay×1', 'inlaid'],
  ['wiped×1', 'wiped back'],
  ['stamp×1', '1 stamp'],
  ['stamp×2', '2 stamps'],
  ['0.8 mm', '0.8 mm'],
])('an amount %s is said as “%s”', (amount, words) => {
  expect(describeAmount(amount)).toBe(words);
});

describe('done otherwise than meant', () => {
  const name = (slug: string): string => slug.toUpperCase();
  const said = (meant: Partial<Layer>, done: Partial<Layer>): string[] =>
    deviations([dip('a', {}, meant)], [dip('a', {}, done)], name);
  test.each([
    [{}, {}, []],
    [{}, { coat: { slug: 'b', version: 1, kind: 'glaze' } }, ['Layer 1: B instead of A.']],
    [{}, { coat: { slug: 'a', version: 2, kind: 'glaze' } }, ['Layer 1: A version 2 instead of 1.']],
    [{}, { method: 'brush' }, ['Layer 1: brush instead of dip.']],
    [{}, { coats: 3 }, ['Layer 1: 3 instead of 1 coat.']],
    [{}, { weight: 'thin' }, ['Layer 1: thin instead of normal.']],
    [{ seconds: 3 }, { seconds: 9 }, ['Layer 1: 9 s instead of 3 s.']],
    [{ seconds: null }, { seconds: 9 }, []],
    [{ seconds: 3 }, { seconds: null }, []],
    [{}, { stage: 'leather-hard' }, ['Layer 1: on leather-hard instead of bisque.']],
    [{ driedBefore: true }, { driedBefore: false }, ['Layer 1: not dried before it.']],
    [{ driedBefore: null }, { driedBefore: false }, []],
    [
      {},
      { region: { ...EVERYWHERE, stretch: { from: 0, to: 0.5 } } },
      ['Layer 1: lower half instead of foot to rim.'],
    ],
  ] as [Partial<Layer>, Partial<Layer>, string[]][])('%j, done %j: %j', (meant, done, words) => {
    expect(said(meant, done)).toEqual(words);
  });

  test('layers too many and too few are named', () => {
    expect(deviations([], [dip('a')], name)).toEqual(['Layer 1: A was put on though it was not meant.']);
    expect(deviations([dip('a'), dip('b')], [dip('a')], name)).toEqual([
      'Layer 2: B was meant but not put on.',
    ]);
  });
});

test('names of slips, sides and versions', () => {
  const name = nameIn({ soot: 'Soot Slip', 'blend#2': 'Question 4, tile 2: A 50' });
  expect(name('blend', 2)).toBe('Question 4, tile 2: A 50');
  expect(name('strange', 1)).toBe('strange');
  expect(slipNames('', name)).toEqual([]);
  expect(slipNames('light slip + soot#1 + soot#3', name)).toEqual([
    'light slip',
    'Soot Slip',
    'Soot Slip v3',
  ]);
  const side = (kind: 'bare' | 'light-slip' | 'dark-slip' | 'textured') =>
    faceWords({ kind, slip: null }, name);
  expect([side('bare'), side('light-slip'), side('dark-slip'), side('textured')]).toEqual([
    'bare body',
    'light slip',
    'dark slip',
    'textured',
  ]);
  expect(faceWords({ kind: 'light-slip', slip: { slug: 'soot', version: 1, kind: 'slip' } }, name)).toBe(
    'Soot Slip',
  );
});
