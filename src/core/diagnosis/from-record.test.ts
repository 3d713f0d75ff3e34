/** What the records answer by themselves: each fact where they speak, and nothing where they are too few. */
import { factOf } from './facts';
import { NOTHING_KNOWN, readRecord, type CaseRecord, type SeenStack } from './from-record';

let no = 0;
const seen = (
  stackKey: string,
  faults: readonly string[] = [],
  rest: Partial<SeenStack> = {},
): SeenStack => ({
  pieceId: `p${++no}`,
  firingId: 'f1',
  bodyId: 'b1',
  slips: '',
  stackKey,
  cone: '6',
  refired: false,
  shelf: 1,
  surface: null,
  seconds: null,
  faults,
  ...rest,
});
const times = (count: number, make: () => SeenStack): SeenStack[] => Array.from({ length: count }, make);

const nothing: CaseRecord = {
  ...NOTHING_KNOWN,
  sign: 'pit',
  pieceId: 'p0',
  firingId: 'f1',
  bodyId: 'b1',
  cone: '6',
};
const value = (fact: string, record: Partial<CaseRecord>): string | undefined =>
  readRecord({ ...nothing, ...record }).find((one) => one.fact === fact)?.value;

const [ONE, TWO] = ['tarn#1 dip×1', 'tarn#1 dip×2'];
const [PAIR, TURNED] = ['tarn#1 dip×1 + pitch#1 dip×1', 'pitch#1 dip×1 + tarn#1 dip×1'];

test('an empty record says only what always is so', () => {
  expect(readRecord(nothing).map(({ fact, value: is }) => [fact, is])).toEqual([
    ['generation', 'first'],
    ['air', 'oxidation'],
  ]);
});

test('held long and held short: thickness where nobody counted coats', () => {
  const zones = [{ stackKey: ONE, has: true }];
  const held = (seconds: number, faults: string[] = []) => times(3, () => seen(ONE, faults, { seconds }));
  expect(value('thickness', { zones, kin: [...held(3), ...held(9, ['pit'])] })).toBe('only-thick');
  expect(value('thickness', { zones, kin: [...held(3, ['pit']), ...held(9)] })).toBe('only-thin');
  expect(value('thickness', { zones, kin: [...held(3, ['pit']), ...held(9, ['pit'])] })).toBe('alike');
  // Three seconds and four are the same dip; what nobody wrote down tells nothing.
  expect(value('thickness', { zones, kin: [...held(3), ...held(4, ['pit'])] })).toBeUndefined();
  expect(value('thickness', { zones, kin: times(6, () => seen(ONE, ['pit'])) })).toBeUndefined();
});

test('every fact and value it can say is one that the clinic knows', () => {
  const full = readRecord({
    ...nothing,
    zones: [
      { stackKey: TWO, has: true },
      { stackKey: ONE, has: false },
    ],
    surface: 'matt',
    movementMm: 7,
    reached: 8,
    target: '6',
    coatings: [{ name: 'Tarn', slug: 'tarn', low: '5', high: '7' }],
    body: { low: '5', high: '7', ground: 'dark', red: true, porcelain: true },
    absorption: 4,
    layers: [{ method: 'brush', coats: 2, driedBefore: false, stage: 'bisque', slip: false }],
    oxides: { Li2O: 3, ZnO: 2, CaO: 5, MgO: 6, SnO2: 2, Fe2O3: 3, TiO2: 1 },
    recipes: [
      ['Silicon carbide', 'Rutile', 'Manganese dioxide'].map((name) => ({
        name,
        amount: 10,
        addition: false,
      })),
    ],
    gap: 0.8,
  });
  for (const { fact, value: is, words } of full) {
    expect([fact, factOf(fact)?.values.some(({ id }) => id === is)]).toEqual([fact, true]);
    expect(words.length).toBeGreaterThan(2);
  }
  expect(full.length).toBeGreaterThan(21);
});

test.each([
  [
    'the thick zone has it, the thin one not',
    [
      [TWO, true],
      [ONE, false],
    ],
    'only-thick',
  ],
  [
    'the thin zone has it, the thick one not',
    [
      [ONE, true],
      [TWO, false],
    ],
    'only-thin',
  ],
  [
    'another stack is clean beside it',
    [
      [TWO, true],
      ['gull#1 dip×1', false],
    ],
    undefined,
  ],
] as const)('thickness on the piece itself: %s', (_, zones, expected) => {
  expect(value('thickness', { zones: zones.map(([stackKey, has]) => ({ stackKey, has })) })).toBe(expected);
});

test('thickness elsewhere: single and several coats of the same stack on the same body', () => {
  const zones = [{ stackKey: TWO, has: true }];
  const thick = times(4, () => seen(TWO, ['pit']));
  const thin = times(4, () => seen(ONE));
  expect(value('thickness', { zones, kin: [...thick, ...thin] })).toBe('only-thick');
  expect(value('thickness', { zones, kin: [...thick, ...times(4, () => seen(ONE, ['pit']))] })).toBe('alike');
  expect(value('thickness', { zones, kin: [...thick, ...thin.slice(0, 2)] })).toBeUndefined();
  const other = thin.map((one) => ({ ...one, bodyId: 'b2' }));
  expect(value('thickness', { zones, kin: [...thick, ...other] })).toBeUndefined();
});

test('the load: other stacks share it, a few do, none does; too few say nothing', () => {
  const zones = [{ stackKey: ONE, has: true }];
  const clean = times(8, () => seen('gull#1 dip×1'));
  const same = times(5, () => seen(ONE, ['pit']));
  expect(value('load', { zones, load: [...same, ...clean] })).toBe('usual');
  expect(value('load', { zones, load: [...clean, seen('ember#1 dip×1', ['pit'])] })).toBe('some');
  expect(value('load', { zones, load: [...clean, ...times(5, () => seen('ember#1 dip×1', ['pit']))] })).toBe(
    'shared',
  );
  expect(value('load', { zones, load: clean.slice(0, 4) })).toBeUndefined();
});

test('one shelf, or anywhere', () => {
  const there = times(3, () => seen(ONE, ['pit'], { shelf: 2 }));
  const elsewhere = times(4, () => seen(ONE, [], { shelf: 1 }));
  expect(value('place', { shelf: 2, load: [...there, ...elsewhere] })).toBe('one');
  expect(value('place', { shelf: 2, load: [...there, ...elsewhere, seen(ONE, ['pit'], { shelf: 1 })] })).toBe(
    'random',
  );
  expect(value('place', { shelf: 2, load: there })).toBeUndefined();
});

test('this body alone, or every body', () => {
  const zones = [{ stackKey: ONE, has: true }];
  const others = times(3, () => seen(ONE, [], { bodyId: 'b2' }));
  const onBody = [seen('gull#1 dip×1', ['pit']), seen('ember#1 dip×1', ['pit'])];
  expect(value('body', { zones, kin: others, onBody })).toBe('only');
  // One coating alone is the coating’s, not the body’s.
  expect(value('body', { zones, kin: others, onBody: onBody.slice(0, 1) })).toBeUndefined();
  // One in a dozen elsewhere is an exception; one in four is not.
  const elsewhere = (n: number) => [
    ...times(n, () => seen(ONE, [], { bodyId: 'b2' })),
    seen(ONE, ['pit'], { bodyId: 'b2' }),
  ];
  expect(value('body', { zones, kin: elsewhere(11), onBody })).toBe('only');
  expect(value('body', { zones, kin: elsewhere(3), onBody })).toBeUndefined();
  expect(value('body', { zones, kin: times(3, () => seen(ONE, ['pit'], { bodyId: 'b2' })), onBody })).toBe(
    'every',
  );
});

test('a coating that shows it on every body, in several firings', () => {
  const zones = [{ stackKey: ONE, has: true }];
  const kin = ['b1', 'b2'].flatMap((bodyId) =>
    ['f1', 'f2'].map((firingId) => seen(ONE, ['pit'], { bodyId, firingId })),
  );
  expect(value('recipe', { zones, kin })).toBe('everywhere');
  expect(value('recipe', { zones, kin: kin.map((one) => ({ ...one, bodyId: 'b1' })) })).toBeUndefined();
});

test('a stack against its coats alone, single and double, and turned round', () => {
  const zones = [{ stackKey: PAIR, has: true }];
  const single = [...times(3, () => seen(ONE)), ...times(3, () => seen('pitch#1 dip×1'))];
  const double = [...times(3, () => seen(TWO)), ...times(3, () => seen('pitch#1 dip×2'))];
  expect(value('stack', { zones, kin: single })).toBe('together');
  expect(value('stack', { zones, kin: [...single, ...double] })).toBe('together-thick');
  expect(value('stack', { zones, kin: [...single, ...times(2, () => seen('pitch#1 dip×1', ['pit']))] })).toBe(
    'alone',
  );
  expect(value('stack', { zones: [{ stackKey: ONE, has: true }] })).toBe('single');
  expect(value('order', { zones, kin: single })).toBe('not-tried');
  expect(value('order', { zones, kin: times(3, () => seen(TURNED)) })).toBe('one-order');
  expect(value('order', { zones, kin: times(3, () => seen(TURNED, ['pit'])) })).toBe('both');
});

test.each([
  [4, 'below'],
  [5.2, 'lower'],
  [6.5, 'upper'],
  [9, 'above'],
])('cone %d reached, of a coating for 5 to 7: %s', (cone, expected) => {
  const coatings = [{ name: 'Tarn', slug: 'tarn', low: '5', high: '7' }];
  expect(value('heat', { reached: cone, coatings })).toBe(expected);
  const body = { ...nothing.body, low: '5', high: '7' };
  expect(value('body-heat', { reached: cone, body })).toBe(expected);
  expect(value('heat', { reached: null, coatings })).toBeUndefined();
});

test.each([
  [1, null, 'first'],
  [2, true, 'new-since'],
  [2, false, 'again'],
  [3, null, 'again'],
] as const)('generation %d, clean before %s: %s', (generation, cleanBefore, expected) => {
  expect(value('generation', { generation, cleanBefore })).toBe(expected);
});

test.each([
  [0.5, false, 'opening'],
  [5, true, 'days'],
  [40, true, 'weeks'],
  [400, true, 'years'],
  // Looked at for the first time long after: nobody knows when it came.
  [40, false, undefined],
] as const)('%d days after the opening, clean at first %s: %s', (seenAfterDays, cleanAtFirst, expected) => {
  expect(value('first-seen', { seenAfterDays, cleanAtFirst })).toBe(expected);
});
