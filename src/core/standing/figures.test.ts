/** The rules of standing at their edges, worked out by hand. Common practice, no source. */
import { dip } from '../../../test-support/layers';
import { NOTHING, type SeenSign } from '../looks';
import { tellApart, type Placed } from './apart';
import { circumstances, type History } from './circumstances';
import { divisionsOf } from './divisions';
import type { PieceView } from './sides';
import { mostWords, sideWords, standingWords, toldWords } from './words';
import { describeStanding, summarise, type Testimony } from './index';

const history = (rest: Partial<History> = {}): History => ({
  kiln: null,
  firing: 'Marta 3',
  kind: 'glaze',
  shelf: null,
  setting: 'unknown',
  generation: 1,
  form: 'L tile',
  lot: null,
  layers: [],
  ...rest,
});

describe('circumstances', () => {
  const always = { firing: 'Marta 3', form: 'L tile', 'times glaze-fired': '1' };
  test('what is unknown has no entry', () => {
    expect(circumstances(history())).toEqual(always);
    expect(circumstances(history({ fullness: null }))).toEqual(always);
  });
  test('what is known is named', () => {
    expect(
      circumstances(
        history({
          kiln: 'Marta',
          fullness: 'half',
          shelf: 2,
          setting: 'stilts',
          lot: 'Eider lot 4',
          generation: 2,
        }),
      ),
    ).toEqual({
      ...always,
      'times glaze-fired': '2',
      kiln: 'Marta',
      'how full': 'half',
      shelf: '2',
      'stood on': 'stilts',
      lot: 'Eider lot 4',
    });
  });
  test('seconds, drying and stage are the coats’, in their order', () => {
    const coats = (...layers: History['layers']) => circumstances(history({ layers }));
    expect(coats(dip('a', {}, { seconds: 3, driedBefore: true }), dip('b', {}, { seconds: 5 }))).toEqual({
      ...always,
      'seconds in the bucket': '3 s then 5 s',
      'dried between coats': 'yes',
      'put on at': 'bisque',
    });
    expect(
      coats(dip('a', {}, { driedBefore: true, stage: 'leather-hard' }), dip('b', {}, { driedBefore: false })),
    ).toEqual({ ...always, 'dried between coats': 'no', 'put on at': 'leather-hard, bisque' });
  });
});

const placed = (side: 0 | 1, variables: Placed['variables'], firingId = 'f'): Placed => ({
  side,
  firingId,
  variables,
});
const many = (n: number, one: (i: number) => Placed): Placed[] => Array.from({ length: n }, (_, i) => one(i));

describe('what tells sides apart', () => {
  test('names are divided freely, and pay for the ways there were', () => {
    // Five of a and five of b part five and five: Fisher 2 / 252, times 2^(2−1) − 1 ways.
    const two = [...many(5, () => placed(0, { lot: 'b' })), ...many(5, () => placed(1, { lot: 'a' }))];
    expect(tellApart(two)).toEqual({
      told: [{ variable: 'lot', sure: true, values: [['b'], ['a']] }],
      looked: 1,
    });
    // The same by four names: seven ways, 7 · 2 / 252 = 0.056: no longer sure, wholly apart.
    const four = [
      ...many(5, (i) => placed(0, { lot: i < 3 ? 'b' : 'd' })),
      ...many(5, (i) => placed(1, { lot: i < 3 ? 'a' : 'c' })),
    ];
    expect(tellApart(four).told).toEqual([
      {
        variable: 'lot',
        sure: false,
        values: [
          ['b', 'd'],
          ['a', 'c'],
        ],
      },
    ]);
  });

  test('measures are cut at one place, in the order of their figures', () => {
    const seconds = (from: number, n: number, side: 0 | 1) =>
      many(n, (i) => placed(side, { s: `${from + i} s` }));
    expect(tellApart([...seconds(8, 5, 0), ...seconds(13, 5, 1)]).told).toEqual([
      {
        variable: 's',
        sure: false,
        values: [
          ['8 s', '9 s', '10 s', '11 s', '12 s'],
          ['13 s', '14 s', '15 s', '16 s', '17 s'],
        ],
      },
    ]);
    // The side of most may lie above; 9 cuts at 2 / 252 each are 0.07.
    expect(tellApart([...seconds(13, 5, 0), ...seconds(8, 5, 1)]).told[0]!.values[0]).toEqual([
      '13 s',
      '14 s',
      '15 s',
      '16 s',
      '17 s',
    ]);
    // Figures with a point are figures: 2.25 lies between 2 and 2.5. Words with a figure in them are names.
    const mm = (values: string[], side: 0 | 1) => values.map((v) => placed(side, { v }));
    const cut = (low: string[], high: string[]) => tellApart([...mm(low, 0), ...mm(high, 1)]).told[0]?.values;
    expect(cut(['2 mm', '2.25 mm', '10 mm'], ['12 mm', '12 mm', '100 mm'])).toEqual([
      ['2 mm', '2.25 mm', '10 mm'],
      ['12 mm', '100 mm'],
    ]);
    expect(cut(['1', '2', '10', '11'], ['3', '3', '4', '4'])).toBeUndefined();
    expect(cut(['3 s then 5 s', '3 s then 5 s', '3 s then 5 s'], ['x', 'x', 'x'])).toEqual([
      ['3 s then 5 s'],
      ['x'],
    ]);
  });

  test('what is the firing’s counts once a firing, and not where one shows both sides alike', () => {
    const inFiring = (firing: string, kiln: string, sides: (0 | 1)[]) =>
      sides.map((side) => placed(side, { kiln }, firing));
    const even = [...inFiring('a', 'Marta', [0, 1]), ...inFiring('b', 'Otter', [1, 1, 0])];
    expect(tellApart(even)).toEqual({ told: [], looked: 0 });
    const six = ['a', 'b', 'c', 'd'].flatMap((f) => inFiring(f, 'Marta', [0, 0, 1]));
    const other = ['e', 'g', 'h', 'i'].flatMap((f) => inFiring(f, 'Otter', [1, 1, 0]));
    // Four firings against four: 2 / 70.
    expect(tellApart([...six, ...other])).toEqual({
      told: [{ variable: 'kiln', sure: true, values: [['Marta'], ['Otter']] }],
      looked: 1,
    });
    // Nobody knows the kiln of one: it is left out and asked of no one.
    const unknown = [...six, ...other, placed(1, {}, 'z')];
    expect(tellApart(unknown).told[0]!.values).toEqual([['Marta'], ['Otter']]);
  });

  test('the surest are named first; where any is sure the doubtful are left out', () => {
    const both = [
      ...many(7, () => placed(0, { b: 'x', a: 'x', same: 'y' })),
      ...many(7, (i) => placed(1, { b: 'z', a: i < 6 ? 'z' : 'x', same: 'y' })),
    ];
    expect(tellApart(both)).toMatchObject({
      looked: 2,
      told: [
        { variable: 'b', sure: true },
        { variable: 'a', sure: true },
      ],
    });
    const one = [
      ...many(6, (i) => placed(0, { sure: 'x', half: i < 5 ? 'x' : 'z' })),
      ...many(6, (i) => placed(1, { sure: 'z', half: i < 5 ? 'z' : 'x' })),
    ];
    expect(tellApart(one).told.map(({ variable }) => variable)).toEqual(['sure']);
  });

  test('perhaps: nearly sure, or wholly apart; three at most, by name where they are equal', () => {
    const three = [placed(0, {}), placed(0, {}), placed(1, {})].map((one, i) => ({
      ...one,
      variables: Object.fromEntries(['d', 'c', 'b', 'a'].map((name) => [name, i < 2 ? 'x' : 'z'])),
    }));
    const { told, looked } = tellApart(three);
    expect(told.map(({ variable, sure }) => [variable, sure])).toEqual([
      ['a', false],
      ['b', false],
      ['c', false],
    ]);
    expect(looked).toBe(4);
    // One of two parts the sides wholly by chance alone: p = 1, and nothing is said.
    expect(tellApart([placed(0, { a: 'x' }), placed(1, { a: 'z' })]).told).toEqual([]);
    // Not wholly apart and p = 0.24 says nothing.
    const leaky = [
      ...many(4, (i) => placed(0, { a: i < 3 ? 'x' : 'z' })),
      ...many(4, (i) => placed(1, { a: i < 1 ? 'x' : 'z' })),
    ];
    expect(tellApart(leaky)).toEqual({ told: [], looked: 1 });
    // Either end alone wholly apart is not both.
    const halfway = [
      ...many(4, () => placed(0, { a: 'x' })),
      ...many(3, (i) => placed(1, { a: i < 1 ? 'x' : 'z' })),
    ];
    expect(tellApart(halfway).told).toEqual([]);
    // The same on both sides, in other numbers: it leans, and tells nothing.
    const none = [placed(0, { a: 'x' }), placed(1, { a: 'x' }), placed(0, { b: 'y' })];
    expect(tellApart(none)).toEqual({ told: [], looked: 0 });
  });
});

const view = (no: number, rest: Partial<PieceView> = {}): PieceView => ({
  pieceId: `p${no}`,
  firingId: 'f',
  surface: null,
  opacity: null,
  colour: null,
  met: null,
  movementMm: null,
  signs: new Map(),
  variables: {},
  ...rest,
});
const sidesOf = (views: Partial<PieceView>[], about: string) =>
  divisionsOf(views.map((rest, i) => view(i, rest)))
    .divisions.find((one) => one.about === about)
    ?.sides.map(({ value, count }) => [value, count]);

describe('sides', () => {
  const runs = (...mm: (number | null)[]) =>
    sidesOf(
      mm.map((movementMm) => ({ movementMm })),
      'run',
    );
  test('runs part at a gap of more than 5 mm and of half the longer', () => {
    expect(runs(0, 5)).toBeUndefined();
    expect(runs(0, 6)).toEqual([
      ['0 mm', 1],
      ['6 mm', 1],
    ]);
    expect(runs(10, 20)).toBeUndefined();
    expect(runs(9, 20)).toEqual([
      ['20 mm', 1],
      ['9 mm', 1],
    ]);
    expect(runs(30, 2, null, 4, 2)).toEqual([
      ['2 mm to 4 mm', 3],
      ['30 mm', 1],
    ]);
  });

  test('colours that share a plain colour with another of their side are one side', () => {
    const colours = (...all: (string | null)[]) =>
      sidesOf(
        all.map((colour) => ({ colour })),
        'colour',
      );
    expect(colours('blue', 'blue green', 'green', 'white', 'rather nice', null)).toEqual([
      ['blue and green', 3],
      ['white', 1],
    ]);
    // Two groups that a third joins.
    expect(colours('blue', 'green', 'blue green', 'white')).toEqual([
      ['blue and green', 3],
      ['white', 1],
    ]);
    expect(colours('white', 'blue')).toEqual([
      ['blue', 1],
      ['white', 1],
    ]);
  });

  test('translucent stands against neither; the coats’ meeting divides', () => {
    const opacity = (...all: PieceView['opacity'][]) =>
      sidesOf(
        all.map((one) => ({ opacity: one })),
        'opacity',
      );
    expect(opacity('opaque', 'translucent')).toBeUndefined();
    expect(opacity('opaque', 'translucent', 'transparent', 'opaque')).toEqual([
      ['opaque', 2],
      ['transparent', 1],
    ]);
    expect(sidesOf([{ met: 'blend' }, { met: 'separate' }], 'how the coats met')).toEqual([
      ['blend', 1],
      ['separate', 1],
    ]);
  });

  test('a marked fault is present or absent; of pieces that say nothing it says neither', () => {
    const pit = (severity: number) => new Map([['pit', { severity, wanted: false }]]);
    expect(sidesOf([{ signs: pit(2) }, { signs: pit(1) }, { surface: 'gloss' }, {}], 'pit')).toEqual([
      ['present', 2],
      ['absent', 1],
    ]);
    // Two marked faults stand in the order of their names.
    const two = divisionsOf([
      view(1, { signs: pit(2) }),
      view(2, { signs: new Map([['blister', { severity: 3, wanted: false }]]) }),
    ]);
    expect(two.divisions.map(({ about }) => about)).toEqual(['blister', 'pit']);
  });

  test('one odd piece among five is an exception; one of four is a side', () => {
    const of = (n: number) =>
      divisionsOf([
        ...Array.from({ length: n - 1 }, (_, i) => view(i, { surface: 'gloss' })),
        view(99, { surface: 'matt' }),
      ]).divisions[0]!;
    expect(of(5)).toMatchObject({ weight: 'exception', told: [], looked: 0 });
    expect(of(4).weight).toBe('open');
    // Only twelve of a side are named.
    expect(of(20).sides[0]!.count).toBe(19);
    expect(of(20).sides[0]!.pieces).toHaveLength(12);
  });

  test('an odd piece counts once, whatever it differs in, and the least sure thing leads', () => {
    const found = divisionsOf([
      ...Array.from({ length: 9 }, (_, i) => view(i, { surface: 'gloss', opacity: 'opaque' })),
      view(10, { surface: 'matt', opacity: 'transparent' }),
      view(11, { opacity: 'transparent' }),
    ]);
    expect(found).toMatchObject({ speaking: 11, agreeing: 9 });
    // Wilson’s lower bound of 9 in 11.
    expect(found.low).toBeCloseTo(0.523, 3);
    expect(divisionsOf([])).toMatchObject({ speaking: 0, agreeing: 0, divisions: [] });
  });
});

describe('in words', () => {
  test('sides and what most show', () => {
    expect(sideWords('run', '12 mm')).toBe('ran 12 mm');
    expect(sideWords('surface', 'gloss')).toBe('gloss');
    expect(sideWords('pit', 'present')).toMatch(/^with pit/);
    expect(sideWords('pit', 'absent')).toMatch(/^without pit/);
    const sides = [
      { value: 'gloss', count: 1204, pieces: [] },
      { value: 'matt', count: 2, pieces: [] },
    ];
    expect(mostWords({ about: 'surface', sides })).toBe('1204 of 1206 gloss');
  });

  test('what tells them apart', () => {
    const told = (sure: boolean, ...names: string[]) =>
      names.map((variable) => ({ variable, sure, values: [[], []] as [string[], string[]] }));
    expect(toldWords({ told: told(true, 'lot', 'shelf', 'seconds'), looked: 5 })).toBe(
      'depends on lot, shelf and seconds',
    );
    expect(toldWords({ told: told(false, 'lot'), looked: 14 })).toBe('perhaps lot, one of 14 looked at');
    expect(toldWords({ told: told(false, 'lot', 'shelf'), looked: 3 })).toBe(
      'perhaps lot or shelf, 2 of 3 looked at',
    );
    expect(toldWords({ told: [], looked: 0 })).toBe('nothing recorded differs between them');
    expect(toldWords({ told: [], looked: 2 })).toBe('nothing recorded tells them apart (2 looked at)');
  });

  test('a cell, with two exceptions or two circumstances', () => {
    const exception = (about: string, value: string) => ({
      about,
      weight: 'exception' as const,
      sides: [
        { value, count: 10, pieces: [] },
        { value: 'other', count: 1, pieces: [] },
      ],
      told: [],
      looked: 0,
    });
    const divisions = [exception('surface', 'gloss'), exception('opacity', 'opaque')];
    const words = (standing: Testimony extends never ? never : 'settled' | 'repeated' | 'depends') =>
      standingWords({ standing, speaking: 11, divisions });
    expect(words('settled')).toBe('settled: 10 of 11 gloss, 10 of 11 opaque');
    expect(words('repeated')).toBe('10 of 11 gloss, 10 of 11 opaque so far');
    const told = (variable: string) => ({ variable, sure: true, values: [[], []] as never });
    const depends = { ...divisions[0]!, weight: 'depends' as const };
    expect(
      standingWords({
        standing: 'depends',
        speaking: 4,
        divisions: [
          { ...depends, told: [told('lot'), told('shelf')] },
          { ...divisions[1]!, told: [told('kiln')] },
          { ...depends, told: [told('lot')] },
        ],
      }),
    ).toBe('depends on lot and shelf');
    expect(describeStanding('once')).toBe('seen once');
    expect(standingWords({ standing: 'repeated', speaking: 2, divisions: [] })).toBe('repeated');
    expect(standingWords({ standing: 'contradictory', speaking: 2, divisions: [] })).toBe('contradictory');
  });
});

describe('a cell in figures', () => {
  const seen = (no: number, rest: Partial<Testimony> = {}): Testimony => ({
    pieceId: `p${no}`,
    firingId: `f${no % 2}`,
    seenAt: '2026-03-01',
    ...NOTHING,
    variables: {},
    coneKnown: 'read',
    changes: { later: [], gone: [], surfaceWas: null },
    split: [],
    ...rest,
  });
  const sign = (name: string, severity: SeenSign['severity'], wanted = false): SeenSign => ({
    sign: name,
    severity,
    wanted,
  });

  test('middles, the commonest, the worst of each sign, the last look', () => {
    const cell = summarise([
      seen(1, {
        surface: 'satin',
        met: 'blend',
        movementMm: 2,
        rating: 5,
        signs: [sign('pit', 1, true)],
      }),
      seen(2, {
        surface: 'matt',
        movementMm: 4,
        rating: 2,
        seenAt: '2026-05-01',
        signs: [sign('crawling', 2), sign('pit', 3, true)],
      }),
      seen(3, {
        surface: 'satin',
        met: 'blend',
        rating: 4,
        signs: [sign('pit', 2), sign('blister', 1)],
      }),
      seen(4, { surface: 'matt', met: 'separate', movementMm: 3 }),
      seen(5, { movementMm: 9 }),
    ]);
    expect(cell).toMatchObject({
      // Two and two: the one that sorts first.
      surface: 'matt',
      met: 'blend',
      movementMm: 3.5,
      rating: 4,
      ratings: [2, 5],
      lastSeen: '2026-05-01',
      signs: [
        { sign: 'pit', pieces: 3, severity: 3, wanted: false },
        { sign: 'blister', pieces: 1, severity: 1, wanted: false },
        { sign: 'crawling', pieces: 1, severity: 2, wanted: false },
      ],
    });
    expect(summarise([seen(1, { signs: [sign('pit', 1, true)] })]).signs[0]!.wanted).toBe(true);
    expect(summarise([])).toMatchObject({
      surface: null,
      movementMm: null,
      ratings: null,
      lastSeen: '',
      known: {},
    });
    expect(summarise([seen(1, { movementMm: 3 })]).movementMm).toBe(3);
  });

  test('changes are counted by sign, most first, then by name', () => {
    const changes = (later: string[], gone: string[] = []) => ({ later, gone, surfaceWas: null });
    const cell = summarise([
      seen(1, { changes: changes(['crazing', 'dunting'], ['pit']) }),
      seen(2, { changes: changes(['dunting', 'blister']) }),
    ]);
    expect(cell.later).toEqual([
      { sign: 'dunting', pieces: 2 },
      { sign: 'blister', pieces: 1 },
      { sign: 'crazing', pieces: 1 },
    ]);
    expect(cell.gone).toEqual([{ sign: 'pit', pieces: 1 }]);
  });

  test('settled asks for three that speak, two firings and a share of 60 % with 95 %', () => {
    const gloss = (n: number) => Array.from({ length: n }, (_, i) => seen(i, { surface: 'gloss' }));
    expect(summarise(gloss(6)).standing).toBe('settled');
    expect(summarise(gloss(5)).standing).toBe('repeated');
    // Two that speak among twenty are two.
    const quiet = Array.from({ length: 18 }, (_, i) => seen(i + 9, { rating: 3 }));
    expect(summarise([...gloss(2), ...quiet]).standing).toBe('repeated');
  });

  test('a later look without a word leaves the earlier words; its signs are all there are', () => {
    const cell = summarise([
      seen(1, {
        firingId: 'a',
        seenAt: '2026-01-01',
        surface: 'gloss',
        opacity: 'opaque',
        met: 'blend',
        movementMm: 5,
        signs: [sign('pit', 3)],
      }),
      seen(1, { firingId: 'b', seenAt: '2026-02-01' }),
      seen(2, { surface: 'gloss', opacity: 'opaque' }),
    ]);
    expect(cell).toMatchObject({
      surface: 'gloss',
      met: 'blend',
      movementMm: 5,
      signs: [],
      pieces: 2,
    });
    expect(cell.divisions).toEqual([]);
  });
});
