import fc from 'fast-check';
import { NOTHING, type SeenSign } from '../looks';
import { standingWords, summarise, toldWords, type Testimony } from './index';
import { plainColours } from './colours';

const one = (no: number, rest: Partial<Testimony> = {}): Testimony => ({
  pieceId: `p${String(no).padStart(5, '0')}`,
  firingId: `f${no % 4}`,
  seenAt: '2026-03-01',
  ...NOTHING,
  variables: {},
  coneKnown: 'read',
  changes: { later: [], gone: [], surfaceWas: null },
  split: [],
  ...rest,
});
const times = (n: number, rest: (no: number) => Partial<Testimony>, from = 0): Testimony[] =>
  Array.from({ length: n }, (_, i) => one(from + i, rest(from + i)));
const gloss = () => ({ surface: 'gloss' as const });
const sign = (name: string, severity: 1 | 2 | 3, wanted = false): SeenSign => ({
  sign: name,
  severity,
  wanted,
});

describe('standing by proportion', () => {
  test.each([
    ['none', [], 'untried', 'untried'],
    ['one', times(1, gloss), 'once', 'seen once'],
    ['two that agree', times(2, gloss), 'repeated', 'repeated'],
    // Three of three leaves 44 % to 100 %: no more than "so far".
    ['three of three', times(3, gloss), 'repeated', '3 agree so far'],
    ['five of five', times(5, gloss), 'repeated', '5 agree so far'],
    ['six of six over firings', times(6, gloss), 'settled', 'settled'],
    [
      'six of six of one firing',
      times(6, () => ({ ...gloss(), firingId: 'f' })),
      'repeated',
      '6 agree so far',
    ],
  ] as const)('%s', (_, sightings, standing, words) => {
    const cell = summarise(sightings);
    expect(cell.standing).toBe(standing);
    expect(standingWords(cell)).toBe(words);
  });

  test('49 gloss and one satin are settled, with the exception named', () => {
    const cell = summarise([...times(49, gloss), one(90, { surface: 'satin' })]);
    expect(cell.standing).toBe('settled');
    expect(standingWords(cell)).toBe('settled: 49 of 50 gloss');
    expect(cell.divisions).toMatchObject([
      { weight: 'exception', sides: [{ count: 49 }, { value: 'satin', pieces: ['p00090'] }] },
    ]);
  });

  test('10 of 11 are settled; 9 of 10 are not yet, and are no contradiction either', () => {
    const of = (n: number) => summarise([...times(n - 1, gloss), one(90, { surface: 'satin' })]);
    expect(of(11).standing).toBe('settled');
    expect(of(10).standing).toBe('repeated');
    expect(standingWords(of(10))).toBe('9 of 10 gloss so far');
  });

  test('sides of substance that nothing tells apart contradict, from two pieces on', () => {
    expect(summarise([one(1, gloss()), one(2, { surface: 'matt' })]).standing).toBe('contradictory');
    const many = summarise([...times(8, gloss), ...times(4, () => ({ surface: 'matt' }), 20)]);
    expect(many.standing).toBe('contradictory');
    expect(many.agreeing).toBe(8);
  });
});

describe('what can divide', () => {
  const three = (rest: Partial<Testimony>[]) =>
    summarise(rest.map((own, i) => one(i, { ...gloss(), ...own })));
  test.each([
    ['white, black and green', [{ colour: 'white' }, { colour: 'black' }, { colour: 'green' }]],
    ['runs of 0, 0 and 25 mm', [{ movementMm: 0 }, { movementMm: 0 }, { movementMm: 25 }]],
    ['opaque and transparent', [{ opacity: 'opaque' }, { opacity: 'transparent' }]],
    ['coats that blend and that part', [{ met: 'blend' }, { met: 'separate' }]],
    ['a marked fault on one of two', [{ signs: [sign('pit', 2)] }, {}]],
  ] as [string, Partial<Testimony>[]][])('%s', (_, rest) => {
    expect(three(rest).standing).toBe('contradictory');
  });

  test.each([
    ['shades of one colour', [{ colour: 'pale blue' }, { colour: 'Blue-green' }, { colour: 'teal' }]],
    ['runs of 8, 10 and 12 mm', [{ movementMm: 8 }, { movementMm: 10 }, { movementMm: 12 }]],
    ['a slight fault', [{ signs: [sign('pit', 1)] }, {}]],
    ['an effect that is wanted', [{ signs: [sign('pit', 3, true)] }, {}]],
    ['one fault, marked and slight', [{ signs: [sign('pit', 2)] }, { signs: [sign('pit', 1)] }]],
  ] as [string, Partial<Testimony>[]][])('but not %s', (_, rest) => {
    const cell = three(rest);
    expect(cell.standing).toBe('repeated');
    expect(cell.divisions).toEqual([]);
  });

  test('ratings 1, 5 and 1 are taste: they divide nothing, and settle nothing', () => {
    const rated = summarise([1, 5, 1].map((rating, i) => one(i, { rating })));
    expect(rated).toMatchObject({ standing: 'repeated', rating: 1, ratings: [1, 5], speaking: 0 });
    expect(summarise(times(20, () => ({ rating: 5 }))).standing).toBe('repeated');
  });

  test('words that name no colour divide nothing', () => {
    expect(plainColours('rather nice')).toEqual([]);
    expect(plainColours('Celadon-ish, greyish')).toEqual(['blue', 'green', 'grey']);
  });
});

describe('what tells the sides apart', () => {
  const dipped = (no: number, surface: 'gloss' | 'matt', seconds: number, rest = {}) =>
    one(no, { surface, variables: { 'seconds in the bucket': `${seconds} s`, ...rest } });

  test('a circumstance beyond chance: it depends on it', () => {
    const cell = summarise([
      ...Array.from({ length: 7 }, (_, i) => dipped(i, 'gloss', 2 + (i % 3))),
      ...Array.from({ length: 6 }, (_, i) => dipped(20 + i, 'matt', 8 + (i % 2))),
    ]);
    expect(cell.standing).toBe('depends');
    expect(standingWords(cell)).toBe('depends on seconds in the bucket');
    expect(cell.divisions[0]!.told).toEqual([
      {
        variable: 'seconds in the bucket',
        sure: true,
        values: [
          ['2 s', '3 s', '4 s'],
          ['8 s', '9 s'],
        ],
      },
    ]);
  });

  test('three pieces are too few: perhaps, and of how many looked at', () => {
    const cell = summarise([
      dipped(1, 'gloss', 3, { shelf: '1', form: 'L tile' }),
      dipped(2, 'gloss', 4, { shelf: '2', form: 'L tile' }),
      dipped(3, 'matt', 9, { shelf: '3', form: 'L tile' }),
    ]);
    expect(cell.standing).toBe('contradictory');
    const [division] = cell.divisions;
    // Shelves are three of three, cut as well as seconds; the form is the same of all.
    expect(division!.looked).toBe(2);
    expect(toldWords(division!)).toBe('perhaps seconds in the bucket or shelf, 2 of 2 looked at');
  });

  test('what is the firing’s is counted by firings, however many pieces they held', () => {
    const at = (kiln: string, firing: string, surface: 'gloss' | 'matt', n: number, from: number) =>
      times(n, () => ({ surface, firingId: firing, variables: { kiln, firing } }), from);
    const two = summarise([...at('Marta', 'a', 'gloss', 12, 0), ...at('Otter', 'b', 'matt', 12, 50)]);
    expect(two.standing).toBe('contradictory');
    const ten = summarise(
      Array.from({ length: 10 }, (_, i) =>
        at(i < 5 ? 'Marta' : 'Otter', `f${i}`, i < 5 ? 'gloss' : 'matt', 3, i * 10),
      ).flat(),
    );
    expect(ten.standing).toBe('depends');
    expect(standingWords(ten)).toBe('depends on kiln');
  });

  test('what tells nothing is left out', () => {
    const cell = summarise([
      ...times(6, (no) => ({ ...gloss(), variables: { shelf: String(no % 2) } })),
      ...times(6, (no) => ({ surface: 'matt', variables: { shelf: String(no % 2) } }), 20),
    ]);
    expect(cell.divisions[0]!.told).toEqual([]);
    expect(toldWords(cell.divisions[0]!)).toBe('nothing recorded tells them apart (1 looked at)');
  });
});

test('refires, later signs and how the cone is known are counted by pieces', () => {
  const cell = summarise([
    one(1, {
      ...gloss(),
      signs: [sign('crazing', 2)],
      changes: { later: ['crazing'], gone: [], surfaceWas: null },
    }),
    one(2, { ...gloss(), coneKnown: 'by log', split: ['surface'] }),
    one(3, { ...gloss(), changes: { later: [], gone: ['pit'], surfaceWas: null } }),
  ]);
  expect(cell).toMatchObject({
    later: [{ sign: 'crazing', pieces: 1 }],
    gone: [{ sign: 'pit', pieces: 1 }],
    known: { read: 2, 'by log': 1 },
    split: 1,
  });
});

test('several firings of one piece are one piece; the latest stands', () => {
  const cell = summarise([
    one(1, { surface: 'matt', firingId: 'a', seenAt: '2026-01-01', signs: [sign('pit', 3)] }),
    one(1, { surface: 'gloss', firingId: 'b', seenAt: '2026-02-01' }),
  ]);
  expect(cell).toMatchObject({
    pieces: 1,
    firings: 2,
    surface: 'gloss',
    signs: [],
    standing: 'once',
  });
});

test('the summary does not depend on the order of the sightings', () => {
  const arbitrary = fc.array(
    fc.record({
      p: fc.integer({ min: 1, max: 9 }),
      f: fc.integer({ min: 1, max: 3 }),
      surface: fc.constantFrom('gloss' as const, 'matt' as const, null),
      colour: fc.constantFrom('white', 'cream', 'blue', 'teal', null),
      mm: fc.option(fc.integer({ min: 0, max: 20 })),
      day: fc.integer({ min: 10, max: 28 }),
      shelf: fc.constantFrom('1', '2', '3'),
    }),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(arbitrary, fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })), (rows, random) => {
      const unique = new Map(rows.map((row) => [`${row.p}/${row.f}`, row]));
      const sightings = [...unique.values()].map((row) =>
        one(row.p, {
          firingId: `f${row.f}`,
          surface: row.surface,
          colour: row.colour,
          movementMm: row.mm,
          seenAt: `2026-03-${row.day}`,
          variables: { shelf: row.shelf },
        }),
      );
      const shuffled = sightings
        .map((own) => ({ own, key: random.next().value as number }))
        .sort((a, b) => a.key - b.key)
        .map(({ own }) => own);
      expect(summarise(shuffled)).toEqual(summarise(sightings));
    }),
  );
});
