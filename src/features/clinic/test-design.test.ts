/** The smallest set of tiles for each test, or why there is none. */
import { planTiles } from '@/core/designs';
import { TESTS } from '@/core/diagnosis';
import { designFor, type TestPlace } from './test-design';

const place: TestPlace = {
  bodyId: 'body',
  otherBodyId: 'quiet',
  stack: ['tarn', 'pitch'],
  apply: { method: 'dip', coats: 1, weight: 'normal', seconds: 3, stage: 'bisque' },
  recipe: 'tarn',
  silica: 'silica',
  kaolin: 'kaolin',
};
const tiles = (fact: string, rest: Partial<TestPlace> = {}) => {
  const plan = designFor(fact, { ...place, ...rest });
  if ('why' in plan) throw new Error(plan.why);
  return planTiles(plan.design).map(
    ({ body, layers }) => `${body}: ${layers.map(({ coat }) => coat).join('+')}`,
  );
};

test('every test that is made of tiles makes no fewer than it says, the others say why not', () => {
  for (const { fact, design, tiles: least } of TESTS) {
    const plan = designFor(fact, place);
    if (design === null) expect('why' in plan).toBe(true);
    else expect([fact, tiles(fact).length >= Math.min(least, 2)]).toEqual([fact, true]);
  }
});

test('single, double and treble of one coat; the whole stack single and double', () => {
  expect(tiles('t-thin-thick', { stack: ['tarn'] })).toEqual([
    'body: tarn',
    'body: tarn+tarn',
    'body: tarn+tarn+tarn',
  ]);
  expect(tiles('t-thin-thick')).toEqual(['body: tarn+pitch', 'body: tarn+tarn+pitch+pitch']);
});

test('each alone at double thickness and both orders; two bodies twice; twins', () => {
  expect(tiles('t-order')).toEqual([
    'body: tarn+tarn',
    'body: pitch+pitch',
    'body: tarn+pitch',
    'body: pitch+tarn',
  ]);
  expect(tiles('t-two-bodies').sort()).toEqual([
    'body: tarn+pitch',
    'body: tarn+pitch',
    'quiet: tarn+pitch',
    'quiet: tarn+pitch',
  ]);
  expect(new Set(tiles('t-drop-hold'))).toEqual(new Set(['body: tarn+pitch']));
});

test.each([
  ['t-order', { stack: ['tarn'] }, /one coat/],
  ['t-two-bodies', { otherBodyId: null }, /no other body/],
  ['t-ladder', { recipe: null }, /recipe/],
  ['t-half-cone', { stack: [] }, /not on record/],
  ['t-ice', {}, /by hand/],
] as const)('%s of %j: %s', (fact, rest, why) => {
  const plan = designFor(fact, { ...place, ...rest });
  expect('why' in plan && plan.why).toMatch(why);
});
