import { wilson } from '../statistics';
import { cameNew, cameNewWords, refireRecords, refireWords, type RefirePassage } from './refire-record';

const passage = (
  firingId: string,
  before: [string, 1 | 2 | 3][],
  after: [string, 1 | 2 | 3][],
  stacks = ['tarn'],
): RefirePassage => ({
  firingId,
  stacks,
  before: before.map(([sign, severity]) => ({ sign, severity })),
  after: after.map(([sign, severity]) => ({ sign, severity })),
});
const SEEN = [
  passage('a', [['pinhole', 2]], []),
  passage('a', [['pinhole', 2]], [['pinhole', 3]]),
  passage(
    'b',
    [['pinhole', 1]],
    [
      ['pinhole', 1],
      ['blister', 2],
    ],
    ['tarn', 'pitch+tarn'],
  ),
  passage(
    'c',
    [
      ['pinhole', 3],
      ['crawling', 1],
    ],
    [['pinhole', 1]],
    ['pitch'],
  ),
];

test('every refire of a fault is counted once over all, and once for each of its stacks', () => {
  const records = refireRecords(SEEN);
  const of = (sign: string, stack: string | null) =>
    records.find((one) => one.sign === sign && one.stack === stack);
  expect(of('pinhole', null)).toEqual({
    sign: 'pinhole',
    stack: null,
    pieces: 4,
    firings: 3,
    healed: 1,
    less: 1,
    same: 1,
    worse: 1,
  });
  expect(of('pinhole', 'tarn')).toMatchObject({ pieces: 3, firings: 2, healed: 1, less: 0 });
  expect(of('pinhole', 'pitch+tarn')).toMatchObject({ pieces: 1, same: 1 });
  expect(of('crawling', null)).toMatchObject({ pieces: 1, healed: 1 });
  expect(of('crawling', 'tarn')).toBeUndefined();
  for (const { pieces, healed, less, same, worse } of records)
    expect(healed + less + same + worse).toBe(pieces);
  expect(records[0]!.pieces).toBe(4);
  expect(refireRecords([])).toEqual([]);
});

test('a share is told from three firings on, as wide as it is', () => {
  const all = refireRecords(SEEN).find(({ sign, stack }) => sign === 'pinhole' && stack === null)!;
  const { low, high } = wilson(1, 4);
  expect(refireWords(all)).toBe(
    `pinholes: of 4 refired in 3 firings 1 healed, 1 milder, 1 the same, 1 worse (healed: ${Math.round(100 * low)} to ${Math.round(100 * high)} %)`,
  );
  // By hand, from Wilson's formula: 1 of 4 is 5 to 70 %.
  expect([Math.round(100 * low), Math.round(100 * high)]).toEqual([5, 70]);
  expect(refireWords({ ...all, firings: 2 })).toMatch(/of 4 refired 1 healed.*2 firings: too few/);
  expect(refireWords({ ...all, firings: 1 })).toMatch(/one firing: too few for a share/);
});

test('what came new is a risk, also when it came once', () => {
  expect(cameNew(SEEN)).toEqual([{ sign: 'blister', pieces: 1, of: 4 }]);
  expect(cameNewWords(cameNew(SEEN)[0]!)).toBe('1 of 4 refires brought blisters');
  expect(cameNew([])).toEqual([]);
});
