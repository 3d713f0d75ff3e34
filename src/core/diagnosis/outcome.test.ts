import { factOf } from './facts';
import { outcomeOf, type TestTile } from './outcome';

const OWN = { bodyId: 'b1', stack: 'gull>tarn' };
const tile = (has: boolean, rest: Partial<TestTile> = {}): TestTile => ({
  pieceId: 'p',
  bodyId: 'b1',
  stackKey: 'gull#1 dip×1 + tarn#1 dip×1',
  step: 0,
  reached: null,
  has,
  ...rest,
});
const coats = (n: number, has: boolean): TestTile => tile(has, { stackKey: `ember#1 dip×${n}` });
const value = (fact: string, tiles: readonly TestTile[]): string | undefined =>
  outcomeOf(fact, tiles, OWN)?.value;

test.each([
  ['the thin one is clean', [coats(1, false), coats(2, false), coats(3, true)], 'thin'],
  ['the thick one is clean', [coats(1, true), coats(2, true), coats(3, false)], 'thick'],
  ['all show it', [coats(1, true), coats(3, true)], 'alike'],
  ['none shows it: it was not brought about', [coats(1, false), coats(3, false)], undefined],
  ['all of one thickness', [coats(2, true), coats(2, false)], undefined],
])('thin and thick: %s', (_, tiles, expected) => {
  expect(value('t-thin-thick', tiles)).toBe(expected);
});

test('two bodies: clean on the other speaks for the body, and only where this one shows it', () => {
  const other = (has: boolean): TestTile => tile(has, { bodyId: 'b2' });
  expect(value('t-two-bodies', [tile(true), tile(false), other(false), other(false)])).toBe('yes');
  expect(value('t-two-bodies', [tile(true), other(true)])).toBe('no');
  expect(value('t-two-bodies', [tile(false), other(false)])).toBeUndefined();
  expect(value('t-two-bodies', [tile(true)])).toBeUndefined();
});

test('order: only together and this way round, or alone too', () => {
  const gull = (has: boolean): TestTile => tile(has, { stackKey: 'gull#1 dip×2' });
  const turned = (has: boolean): TestTile => tile(has, { stackKey: 'tarn#1 dip×1 + gull#1 dip×1' });
  expect(value('t-order', [tile(true), gull(false), turned(false)])).toBe('yes');
  expect(value('t-order', [tile(true), gull(true), turned(true)])).toBe('no');
  expect(value('t-order', [tile(false), gull(true)])).toBe('no');
  expect(value('t-order', [tile(false), gull(false), turned(true)])).toBeUndefined();
});

test('the ladder ends where it stays away', () => {
  const rungs = (...has: boolean[]): TestTile[] => has.map((one, step) => tile(one, { step }));
  expect(outcomeOf('t-ladder', rungs(true, true, false, false), OWN)).toMatchObject({
    value: 'yes',
    words: 'gone from step 2 on',
  });
  expect(value('t-ladder', rungs(true, false, true))).toBe('no');
  expect(value('t-ladder', rungs(false, false, false))).toBeUndefined();
});

test('half a cone: told by what was reached, and by nothing where no cone was read', () => {
  const at = (reached: number | null, has: boolean): TestTile => tile(has, { reached });
  expect(value('t-half-cone', [at(20.5, false), at(21.5, true)])).toBe('cooler');
  expect(value('t-half-cone', [at(20.5, true), at(21.5, false)])).toBe('hotter');
  expect(value('t-half-cone', [at(20.5, true), at(21.5, true)])).toBe('alike');
  expect(value('t-half-cone', [at(null, true), at(null, false)])).toBeUndefined();
});

test('every outcome it can say is one that the clinic knows; other tests are asked of people', () => {
  const all = [
    outcomeOf('t-thin-thick', [coats(1, false), coats(2, true)], OWN),
    outcomeOf('t-two-bodies', [tile(true), tile(false, { bodyId: 'b2' })], OWN),
    outcomeOf(
      't-ladder',
      [0, 1, 2].map((step) => tile(step === 0, { step })),
      OWN,
    ),
  ];
  for (const one of all) expect(factOf(one!.fact)?.values.map(({ id }) => id)).toContain(one!.value);
  expect(outcomeOf('t-wiped-half', [tile(true), tile(false)], OWN)).toBeNull();
  expect(outcomeOf('t-order', [], OWN)).toBeNull();
});
