import type { Cell } from '@/data/board';
import { boardOf, positionKey, sortCones } from './board';
import { cellWords, groundWords, pairWords } from './words';
import type { Coating } from '@/data/coatings';

const cell = (base: string | null, over: string | null, rest: Partial<Cell> = {}): Cell => ({
  id: `${base}/${over}`,
  bodyId: 'b',
  slips: '',
  cone: '6',
  atmosphere: 'oxidation',
  depth: over === null ? 1 : 2,
  base,
  over,
  stackKey: `${base} ${over}`,
  standing: 'once',
  pieces: 1,
  firings: 1,
  surface: 'gloss',
  met: null,
  movementMm: null,
  rating: null,
  signs: [],
  divisions: [],
  speaking: 1,
  agreeing: 1,
  ratings: null,
  later: [],
  gone: [],
  split: 0,
  known: { read: 1 },
  refired: false,
  photo: null,
  cut: null,
  colour: null,
  example: null,
  lastSeen: null,
  generation: 1,
  coneKnown: 'read',
  ...rest,
});
const coating = (slug: string, rest: Partial<Coating> = {}): Coating => ({
  id: slug,
  slug,
  name: slug,
  kind: 'glaze',
  coneLow: '5',
  coneHigh: '7',
  colour: '#000000',
  atmosphereNotes: '',
  whatItDoes: '',
  cautions: '',
  traits: [],
  revision: 1,
  archived: false,
  mergedInto: null,
  trial: false,
  versions: [],
  ...rest,
});

test('the best known way stands on the board and the others are counted', () => {
  const board = boardOf(
    [cell('a', 'b', { stackKey: 'thin' }), cell('a', 'b', { stackKey: 'thick', pieces: 4 })],
    [coating('a'), coating('b')],
    '6',
  );
  const position = board.positions.get(positionKey('a', 'b'));
  expect(position).toMatchObject({ ways: 2, pieces: 5 });
  expect(position?.main.stackKey).toBe('thick');
});

test('A over B is not B over A', () => {
  const board = boardOf([cell('a', 'b')], [coating('a'), coating('b')], '6');
  expect(board.positions.has(positionKey('b', 'a'))).toBe(false);
});

test('coatings in use whose range holds the cone stand on the axes; slips and those put away do not', () => {
  const board = boardOf(
    [cell('old', null)],
    [
      coating('a'),
      coating('hot', { coneLow: '9', coneHigh: '10' }),
      coating('chalk', { kind: 'slip' }),
      coating('gone', { archived: true }),
      coating('old', { archived: true }),
    ],
    '6',
  );
  expect(board.axis.map((one) => one.slug)).toEqual(['old', 'a']);
});

test('stacks of three coats stand apart and bare ground nowhere', () => {
  const board = boardOf(
    [cell('a', 'c', { depth: 3 }), cell(null, null, { depth: 0 })],
    [coating('a'), coating('c')],
    '6',
  );
  expect(board.positions.size).toBe(0);
  expect(board.deeper).toHaveLength(1);
});

test('cones are in order, unknown last', () => {
  expect(sortCones(['unknown', '10', '06', '6', '06'])).toEqual(['06', '6', '10', 'unknown']);
});

test('a cell says itself in words', () => {
  const place = { body: 'Peat', ground: 'bare body', cone: '6', atmosphere: 'oxidation' };
  const units = { temperature: 'C', length: 'mm', mass: 'g' } as const;
  const board = boardOf(
    [
      cell('a', 'b', {
        movementMm: 4,
        signs: [{ sign: 'pit', pieces: 1, severity: 2, wanted: false }],
      }),
    ],
    [],
    '6',
  );
  expect(cellWords(pairWords('Pitch', 'Tarn'), place, board.positions.get('a/b'), units)).toBe(
    'Tarn over Pitch on Peat, cone 6, oxidation: seen once, 1 piece, gloss, no picture, pits, ran 4 mm',
  );
  expect(cellWords(pairWords('Pitch', null), place, undefined, units)).toContain('untried');
  expect(groundWords('chalk-slip#1', () => 'Chalk Slip')).toBe('Chalk Slip');
  expect(groundWords('light slip', () => '')).toBe('light slip');
});

test('a question’s own blends stand on the axes only once they have been fired', () => {
  const trial = coating('question-2', { trial: true });
  expect(boardOf([], [coating('a'), trial], '6').axis.map(({ slug }) => slug)).toEqual(['a']);
  expect(
    boardOf([cell('question-2', null)], [coating('a'), trial], '6').axis.map(({ slug }) => slug),
  ).toEqual(['question-2', 'a']);
});
