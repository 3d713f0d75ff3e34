/** All that the checks of a load say, word for word: somebody at a kiln acts on it. */
import { checkLoad, insideWords, usualLoad, daysUntilFull } from './index';
import type { Finding, LoadFiring, LoadItem } from './check-terms';
import { FIRING, glaze, item } from '../../../test-support/load';

const found = (items: readonly LoadItem[], firing: Partial<LoadFiring> = {}): Finding[] =>
  checkLoad(items, { ...FIRING, ...firing });
const at = (xMm: number, yMm = 0, shelf = 1) => ({ shelf, spot: { shelf, xMm, yMm } });

const clay = (traits: LoadItem['body']['traits'], high = '7') => ({
  body: { name: 'Quay', range: { low: '5', high }, traits },
});
const chromeAndWhite = [
  item('W', { coatings: [glaze('Gull', ['tin white'])] }),
  item('C', { coatings: [glaze('Rosehip', ['chrome'])] }),
];
const tiles = ['A', 'B', 'C'].map((code, i) =>
  item(code, { question: 'Thinner?', treatment: i < 2 ? 'thin' : 'thick', shelf: i < 2 ? 1 : 2 }),
);

test.each<[string, LoadItem[], Partial<LoadFiring>, Finding]>([
  [
    'damp ware',
    [item('R', { bisqued: false }), item('S')],
    {},
    {
      id: 'raw',
      level: 'stop',
      title: 'Not bisqued on record',
      reason: 'Raw or damp ware bursts in a glaze firing. Bisque it first, or say that it was and is dry.',
      pieces: ['R'],
    },
  ],
  [
    'an empty kiln',
    [],
    {},
    {
      id: 'empty',
      level: 'stop',
      title: 'Nothing is in the load',
      reason: 'Put pieces in from the queue or by their codes.',
      pieces: [],
    },
  ],
  [
    'one white beside chrome',
    chromeAndWhite,
    {},
    {
      id: 'chrome',
      level: 'look',
      title: 'Chrome beside tin white',
      reason: 'Chrome vapour turns tin whites pink: move it to another shelf, or mean it.',
      pieces: ['W', 'C'],
    },
  ],
  [
    'two whites beside chrome, each named once',
    [...chromeAndWhite, item('V', { coatings: [glaze('Gull', ['tin white', 'chrome'])] })],
    {},
    {
      id: 'chrome',
      level: 'look',
      title: 'Chrome beside tin white',
      reason: 'Chrome vapour turns tin whites pink: move them to another shelf, or mean it.',
      pieces: ['W', 'V', 'C'],
    },
  ],
  [
    'a fluid glaze on the shelf',
    [item('F', { coatings: [glaze('Slack Tide', ['fluid'])] }), item('S', { ranMm: 3.9 })],
    {},
    {
      id: 'fluid',
      level: 'stop',
      title: 'Fluid glaze with nothing to catch it',
      reason: 'Put a waster slice, a ring or wads under it: it will glue the piece to the shelf.',
      pieces: ['F'],
    },
  ],
  [
    'a stack that ran four millimetres before',
    [item('F', { ranMm: 4 })],
    {},
    {
      id: 'fluid',
      level: 'stop',
      title: 'Fluid glaze with nothing to catch it',
      reason: 'Put a waster slice, a ring or wads under it: it will glue the piece to the shelf.',
      pieces: ['F'],
    },
  ],
  [
    'an unknown clay',
    [item('Q', clay(['unproven']))],
    {},
    {
      id: 'unproven',
      level: 'stop',
      title: 'An unknown clay on the bare shelf',
      reason: 'It may melt. Put it on a waster slice until it is known to stand this cone.',
      pieces: ['Q'],
    },
  ],
  [
    'a glazed foot',
    [item('G', { glazedFoot: true })],
    {},
    {
      id: 'foot',
      level: 'look',
      title: 'Glaze down to the foot',
      reason: 'Wipe the last few millimetres, or set it on something: it sticks to the shelf.',
      pieces: ['G'],
    },
  ],
  [
    'pieces that touch, each named once',
    [item('A', at(0)), item('B', at(80.5)), item('C', at(161)), item('D', at(-120))],
    {},
    {
      id: 'touching',
      level: 'stop',
      title: 'Pieces touch',
      reason: 'Glazed pieces that touch become one. Move them apart by a finger’s width.',
      pieces: ['A', 'B', 'C'],
    },
  ],
  [
    'over the edge',
    [item('A', at(186)), item('B', at(0))],
    {},
    {
      id: 'edge',
      level: 'stop',
      title: 'Over the edge of the shelf',
      reason: 'It would meet the wall, an element or the door.',
      pieces: ['A'],
    },
  ],
  [
    'where a post has to stand',
    [item('P', at(-185, -185)), item('Q', at(-185, -185, 2))],
    {},
    {
      id: 'posts',
      level: 'look',
      title: 'Where a post has to stand',
      reason: 'The shelf above rests on it: move the piece, or set the posts elsewhere.',
      pieces: ['P'],
    },
  ],
  [
    'within 25 mm of the thermocouple on its shelf',
    [item('A', at(0)), item('B', at(0, 0, 2)), item('C', at(-110))],
    { thermocouple: { xMm: 64.9, yMm: 0, shelf: 1 } },
    {
      id: 'thermocouple',
      level: 'look',
      title: 'Close to the thermocouple',
      reason: 'Leave it 25 mm of air, or it reads the pot and may be knocked.',
      pieces: ['A'],
    },
  ],
  [
    'a clay past its cone',
    [item('A', clay([], '5')), item('B', clay([], '5'))],
    {},
    {
      id: 'cone:Quay/true',
      level: 'stop',
      title: 'Quay is for cone 5',
      reason: 'At cone 6 the clay may bloat, slump or melt onto the shelf.',
      pieces: ['A', 'B'],
    },
  ],
  [
    'a clay short of its cone',
    [item('A', { ...clay([], '10'), coatings: [] })],
    { targetCone: '04' },
    {
      id: 'cone:Quay/false',
      level: 'look',
      title: 'Quay is for cone 5–10',
      reason: 'At cone 04 it stays open and soft.',
      pieces: ['A'],
    },
  ],
  [
    'a glaze past its cone, on a piece that bears it twice',
    [item('A', { ...clay([], '10'), coatings: [glaze('Tarn'), glaze('Tarn')] })],
    { targetCone: '9' },
    {
      id: 'cone:Tarn/true',
      level: 'stop',
      title: 'Tarn is for cone 5–7',
      reason: 'At cone 9 it may run off the piece.',
      pieces: ['A'],
    },
  ],
  [
    'a glaze short of its cone',
    [item('A', { body: { name: 'Quay', range: null, traits: [] } })],
    { targetCone: '04' },
    {
      id: 'cone:Tarn/false',
      level: 'look',
      title: 'Tarn is for cone 5–7',
      reason: 'At cone 04 it may stay dry and unmelted.',
      pieces: ['A'],
    },
  ],
  [
    'a clay for oxidation, reduced',
    [item('A', clay(['oxidation only'])), item('B', clay(['oxidation only']))],
    { atmosphere: 'heavy reduction' },
    {
      id: 'air:Quay',
      level: 'look',
      title: 'Quay is meant for oxidation',
      reason: 'This firing is heavy reduction: expect another colour.',
      pieces: ['A', 'B'],
    },
  ],
  [
    'made for another air',
    ['light reduction', 'reduction', 'reduction'].map((wantedAtmosphere, i) =>
      item(`P${i}`, { wantedAtmosphere }),
    ),
    {},
    {
      id: 'wanted air',
      level: 'look',
      title: 'Made for light reduction, reduction',
      reason: 'This firing is oxidation. Keep them for another, or mean it.',
      pieces: ['P0', 'P1', 'P2'],
    },
  ],
  [
    'a load inside',
    [item('A')],
    { inside: { title: 'Gable 13', status: 'loaded' } },
    {
      id: 'occupied',
      level: 'stop',
      title: 'Gable 13 is inside',
      reason: 'Gable 13 stands closed in this kiln. Fire it first, or open its load again there.',
      pieces: [],
      firm: true,
    },
  ],
  [
    'a shelf to each treatment',
    tiles,
    {},
    {
      id: 'shelf:Thinner?',
      level: 'look',
      title: 'Each treatment has a shelf to itself',
      reason: '“Thinner?” could then be answered by the shelf alone. Mix them over the shelves.',
      pieces: ['A', 'B', 'C'],
    },
  ],
  [
    'open flags',
    [item('A', { flags: ['foot not wiped', 'slip dry'] }), item('B', { flags: ['wobbles'] }), item('C')],
    {},
    {
      id: 'flags',
      level: 'look',
      title: 'Flags that are still open',
      reason: 'A: foot not wiped; slip dry. B: wobbles',
      pieces: ['A', 'B'],
    },
  ],
  [
    'no cones',
    [item('A')],
    { witnesses: 0 },
    {
      id: 'cones',
      level: 'look',
      title: 'No witness cones',
      reason: 'Without them nobody will know what cone this was. Set a pack on two shelves.',
      pieces: [],
    },
  ],
  [
    'a loose reduction load',
    [item('A')],
    { fuelled: true, atmosphere: 'reduction', fullness: 0.29 },
    {
      id: 'loose',
      level: 'look',
      title: 'Loosely packed for a reduction firing',
      reason: 'A half-empty kiln reduces unevenly. Fill the gaps with small waiting pieces.',
      pieces: [],
    },
  ],
])('%s', (_, items, firing, says) => {
  expect(found(items, firing)).toEqual([says]);
});

// What stands at the edge of a rule, or is none of its business.
test.each<[string, LoadItem[], Partial<LoadFiring>]>([
  [
    'what a catch holds',
    ['waster', 'ring', 'wads', 'stilt'].map((setting, i) =>
      item(`${i}`, { ...clay(['unproven']), setting: setting as 'ring', ranMm: 9, glazedFoot: true }),
    ),
    {},
  ],
  [
    'a bisque with all that',
    [
      item('A', {
        ...clay(['unproven', 'oxidation only'], '5'),
        ranMm: 9,
        glazedFoot: true,
        bisqued: false,
        wantedAtmosphere: 'reduction',
      }),
      ...chromeAndWhite,
    ],
    { kind: 'bisque', witnesses: 0, targetCone: '06', atmosphere: 'reduction' },
  ],
  ['ware fired once', [item('A', { bisqued: false })], { kind: 'once-fired' }],
  ['a finger’s width apart', [item('A', at(0)), item('B', at(81))], {}],
  ['on the edge', [item('A', at(185)), item('B', at(-185))], {}],
  ['no shelf measured', [item('A', at(700))], { shelf: null }],
  [
    '25 mm of air',
    [
      item('A', at(0)),
      item('B', { ...at(0, 120), footprint: { round: false, widthMm: 40, depthMm: 60, heightMm: 90 } }),
    ],
    { thermocouple: { xMm: 65, yMm: 0, shelf: null } },
  ],
  ['a place that is not known', [item('A')], { thermocouple: { xMm: 0, yMm: 0, shelf: null } }],
  ['cones at the ends of a range', [item('A')], { targetCone: '7' }],
  ['and at the other', [item('A')], { targetCone: '5' }],
  ['no such cone', [item('A')], { targetCone: 'hot' }],
  [
    'a range nobody knows',
    [
      item('A', {
        body: { name: 'Quay', range: null, traits: [] },
        coatings: [{ name: 'Old', range: null, traits: [] }],
      }),
    ],
    { targetCone: '10' },
  ],
  ['a glaze for oxidation in it', [item('A', { coatings: [glaze('Tarn', ['oxidation only'])] })], {}],
  [
    'one for reduction in it',
    [item('A', { coatings: [glaze('Tarn', ['reduction only'])], wantedAtmosphere: 'reduction' })],
    { atmosphere: 'light reduction' },
  ],
  [
    'an air that nobody knows',
    [item('A', { coatings: [glaze('Tarn', ['reduction only'])], wantedAtmosphere: 'reduction' })],
    { atmosphere: 'unknown' },
  ],
  ['a wish nobody wrote', [item('A', { wantedAtmosphere: 'unknown' })], { atmosphere: 'reduction' }],
  [
    'chrome 120 mm away',
    [
      { ...chromeAndWhite[0]!, ...at(-100) },
      { ...chromeAndWhite[1]!, ...at(100) },
    ],
    {},
  ],
  ['chrome on another shelf', [chromeAndWhite[0]!, { ...chromeAndWhite[1]!, shelf: 2 }], {}],
  ['one tile a treatment, each on its shelf', [tiles[0]!, tiles[2]!], {}],
  [
    'a treatment on both shelves',
    [...tiles, item('D', { question: 'Thinner?', treatment: 'thick', shelf: 1 })],
    {},
  ],
  ['treatments on one shelf', tiles.map((tile) => ({ ...tile, shelf: 1 })), {}],
  ['one treatment on two shelves', tiles.map((tile) => ({ ...tile, treatment: 'thin' })), {}],
  ['tiles on no shelf yet', tiles.map((tile, i) => (i === 2 ? { ...tile, shelf: null } : tile)), {}],
  ['a loose load without flame', [item('A')], { fuelled: false, atmosphere: 'reduction', fullness: 0.1 }],
  ['a loose load in oxidation', [item('A')], { fuelled: true, fullness: 0.1 }],
  ['three tenths full', [item('A')], { fuelled: true, atmosphere: 'reduction', fullness: 0.3 }],
  ['a load nobody has measured', [item('A')], { fuelled: true, atmosphere: 'reduction', fullness: null }],
])('nothing is said of %s', (_, items, firing) => {
  expect(found(items, firing)).toEqual([]);
});

test('chrome passes where a shelf or a place is not known, and within 120 mm', () => {
  const [white, chrome] = chromeAndWhite as [LoadItem, LoadItem];
  expect(
    found([
      { ...white, shelf: null },
      { ...chrome, shelf: 2 },
    ]),
  ).toHaveLength(1);
  expect(found([white, { ...chrome, shelf: null }])).toHaveLength(1);
  expect(found([{ ...white, ...at(-99) }, chrome])).toHaveLength(1);
  expect(
    found([
      { ...white, ...at(-99) },
      { ...chrome, ...at(100) },
    ]),
  ).toHaveLength(1);
});

test('what stops the lid is said first', () => {
  const levels = found(
    [item('A', { flags: ['x'] }), item('B', { bisqued: false }), item('C', { glazedFoot: true, ranMm: 9 })],
    { witnesses: 0 },
  ).map(({ level }) => level);
  expect(levels).toEqual(['stop', 'stop', 'look', 'look', 'look']);
});

test('each stage of a load that is inside has its way out', () => {
  expect(insideWords({ title: 'Gable 13', status: 'firing' })).toBe(
    'Gable 13 is still firing in this kiln. Open it first; if it was opened and nobody said so, say it on its page.',
  );
  expect(insideWords({ title: 'Gable 13', status: 'cooling' })).toContain('still cooling in');
});

test('a usual load is the middle one; days until full count whole days', () => {
  expect(usualLoad([3, 100, 20, 40])).toBe(40);
  expect(usualLoad([9, 10])).toBe(10);
  expect(daysUntilFull(31, 30, 0, 28)).toBe(0);
  expect(daysUntilFull(29, 30, 3, 28)).toBe(10);
});
