import fc from 'fast-check';
import { NOTHING, believedMoment, changed, meansCorrection, stateOf, statesOf, voicesOf } from './index';
import type { Seen, SeenSign } from './index';

const look = (by: string, day: number, rest: Partial<Seen> = {}): Seen => ({
  zone: null,
  by,
  seenAt: new Date(Date.UTC(2026, 2, 1) + day * 86_400_000).toISOString(),
  ...NOTHING,
  ...rest,
});
const sign = (name: string, severity: 1 | 2 | 3 = 2): SeenSign => ({
  sign: name,
  severity,
  wanted: false,
});
const signs = (state: { signs: SeenSign[] }) => state.signs.map((one) => one.sign);

describe('who writes again', () => {
  const first = { by: 'iben', seenAt: new Date(0) };
  const after = (by: string, hours: number) => ({ by, seenAt: new Date(hours * 3_600_000) });
  test.each([
    ['the same person within a day puts it right', after('iben', 23), true],
    ['the same person after a day looks again', after('iben', 24), false],
    ['another person looks too, however soon', after('noor', 0.1), false],
  ])('%s', (_, now, expected) => {
    expect(meansCorrection(first, now)).toBe(expected);
  });
});

describe('the moment of a look', () => {
  const [opened, arrived] = [new Date(1000), new Date(9000)];
  test.each([
    ['is what the device tells', new Date(5000), opened, 5000],
    ['is its arrival when the device tells none', null, opened, 9000],
    ['is its arrival when the device is ahead', new Date(9001), opened, 9000],
    ['is the opening when the device is behind it', new Date(10), opened, 1000],
    ['needs no opening', new Date(10), null, 10],
  ])('%s', (_, told, from, expected) => {
    expect(believedMoment(told, from, arrived).getTime()).toBe(expected);
  });
});

test('sound at the kiln and crazed after a month: it came out sound, is crazed, and crazed later', () => {
  const state = stateOf([
    look('iben', 30, { surface: 'gloss', signs: [sign('crazing')] }),
    look('iben', 0, { surface: 'gloss', rating: 4 }),
  ])!;
  expect(signs(state.now)).toEqual(['crazing']);
  expect(signs(state.cameOut)).toEqual([]);
  expect(state.now.rating).toBe(4);
  expect(state.changes).toEqual({ later: ['crazing'], gone: [], surfaceWas: null });
  expect(changed(state.changes)).toBe(true);
});

test('a later look that goes over the surface ends what it does not find; a note or a run does not', () => {
  const first = look('iben', 0, { surface: 'matt', signs: [sign('pinhole'), sign('crazing')] });
  const measured = stateOf([first, look('iben', 9, { movementMm: 4 })])!;
  expect(signs(measured.now)).toEqual(['crazing', 'pinhole']);
  expect(measured.now.movementMm).toBe(4);
  expect(changed(measured.changes)).toBe(false);
  const again = stateOf([first, look('iben', 9, { surface: 'satin', signs: [sign('crazing')] })])!;
  expect(again.changes).toEqual({ later: [], gone: ['pinhole'], surfaceWas: 'matt' });
});

test('a part keeps its own history, over the whole’s', () => {
  const foot = '1|0-500|0-1000|all';
  const state = stateOf([
    look('iben', 0, { surface: 'gloss', signs: [sign('pit')] }),
    look('iben', 0, { zone: foot, surface: 'matt', signs: [sign('crawling')] }),
    look('iben', 20, { surface: 'satin', signs: [] }),
  ])!;
  // The whole lost its pits; the foot was not looked at again, and is still matt and crawled.
  expect(state.now.surface).toBe('matt');
  expect(signs(state.now)).toEqual(['crawling']);
  expect(state.changes.gone).toEqual(['pit']);
});

test('two people soon after one another are of one state: no change is made of their difference', () => {
  const both = [
    look('iben', 0, { surface: 'gloss' }),
    look('noor', 1, { surface: 'satin', signs: [sign('crazing')] }),
  ];
  const state = stateOf(both)!;
  expect(state.cameOut.surface).toBe('gloss');
  expect(state.now.surface).toBe('satin');
  expect(changed(state.changes)).toBe(false);
  const [voices] = voicesOf(both);
  expect(voices!.differ).toEqual([
    {
      about: 'surface',
      sides: [
        { value: 'gloss', people: ['iben'] },
        { value: 'satin', people: ['noor'] },
      ],
    },
    {
      about: 'crazing',
      sides: [
        { value: 'not found', people: ['iben'] },
        { value: 'found', people: ['noor'] },
      ],
    },
  ]);
});

test('people who agree are heard as agreeing; what only one of them said is neither', () => {
  const [voices] = voicesOf([
    look('iben', 0, { surface: 'gloss', opacity: 'opaque', movementMm: 10, rating: 5 }),
    look('noor', 2, { surface: 'gloss', movementMm: 12, rating: 1, signs: [sign('pit', 1)] }),
  ]);
  expect(voices).toEqual({
    zone: null,
    people: ['iben', 'noor'],
    agree: [
      { about: 'surface', value: 'gloss' },
      { about: 'run', value: '10 mm' },
    ],
    differ: [],
  });
});

test('runs that lie far apart differ; somebody who only left a note has not denied a fault', () => {
  const [voices] = voicesOf([
    look('iben', 0, { movementMm: 0, signs: [sign('crazing')] }),
    look('noor', 0.1, { movementMm: 20 }),
  ]);
  expect(voices!.differ.map(({ about }) => about)).toEqual(['run']);
  expect(voices!.agree).toEqual([]);
});

test('one person, or two a month apart, make no agreement', () => {
  expect(voicesOf([look('iben', 0, { surface: 'gloss' })])).toEqual([]);
  expect(voicesOf([look('iben', 0, {}), look('noor', 30, {})])).toEqual([]);
  expect(voicesOf([look('iben', 0, {}), look('iben', 0.5, {})])).toEqual([]);
});

test('no look says nothing', () => {
  expect(stateOf([])).toBeNull();
});

const anyLook = fc
  .record({
    by: fc.constantFrom('a', 'b', 'c'),
    day: fc.integer({ min: 0, max: 40 }),
    surface: fc.constantFrom('gloss' as const, 'matt' as const, null),
    pit: fc.boolean(),
  })
  .map(({ by, day, surface, pit }) => look(by, day, { surface, signs: pit ? [sign('pit')] : [] }));

test('every look is in one state, in order, and nobody twice', () => {
  fc.assert(
    fc.property(fc.array(anyLook, { maxLength: 12 }), (looks) => {
      const states = statesOf(looks);
      expect(states.flat()).toHaveLength(looks.length);
      const times = states.flat().map((one) => one.seenAt);
      expect(times).toEqual([...times].sort());
      for (const state of states) expect(new Set(state.map((one) => one.by)).size).toBe(state.length);
    }),
  );
});

test('what is now follows the last look that went over the surface, whatever came before', () => {
  fc.assert(
    fc.property(fc.array(anyLook, { maxLength: 8 }), (looks) => {
      const last = look('d', 100, { surface: 'dry', signs: [sign('crawling')] });
      const state = stateOf([...looks, last])!;
      expect(state.now.surface).toBe('dry');
      expect(signs(state.now)).toEqual(['crawling']);
    }),
  );
});
