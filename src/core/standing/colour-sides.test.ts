import { coloursApart } from './colour-sides';
import type { PieceView } from './sides';
import { summarise } from './standing';
import type { Testimony } from './sightings';
import type { Lab } from '../colour';

const view = (no: number, rest: Partial<PieceView>): PieceView => ({
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
const sides = (list: Partial<PieceView>[], apart = 8) =>
  [
    ...coloursApart(
      list.map((rest, i) => view(i, rest)),
      apart,
    ),
  ].map(([value, own]) => [value, own.length]);
const at = (l: number, colour: string | null = null): Partial<PieceView> => ({
  lab: [l, 0, 0] as Lab,
  colour,
});

test('measured pieces go by number: two names of one colour are one side, one name of two colours is two', () => {
  expect(sides([at(50, 'blue'), at(52, 'green')])).toHaveLength(1);
  expect(sides([at(30, 'grey'), at(70, 'grey')])).toEqual([
    ['dark grey (L* 30 a* 0 b* 0)', 1],
    ['grey (L* 70 a* 0 b* 0)', 1],
  ]);
});

test('a row of pieces each near to the next is one side, whatever order they come in', () => {
  const row = [70, 40, 46, 52, 58, 64];
  expect(sides(row.map((l) => at(l)))).toHaveLength(1);
  expect(sides([40, 46, 64, 70].map((l) => at(l)))).toHaveLength(2);
});

test('one that was only described goes with the largest side that it shares a word with', () => {
  expect(sides([at(50), at(51), at(95), { colour: 'grey, a little blue' }])).toEqual([
    ['grey (L* 51 a* 0 b* 0)', 3],
    ['white (L* 95 a* 0 b* 0)', 1],
  ]);
  expect(sides([at(50), { colour: 'red' }])).toEqual([
    ['grey (L* 50 a* 0 b* 0)', 1],
    ['red', 1],
  ]);
});

test('without numbers words decide as before', () => {
  expect(sides([{ colour: 'blue' }, { colour: 'blue-green' }, { colour: 'red' }])).toEqual([
    ['blue and green', 2],
    ['red', 1],
  ]);
});

test('what is measured apart makes a cell contradictory that by its words was not, and the other way round', () => {
  const saw = (no: number, colour: string, lab: Lab | null): Testimony =>
    ({
      pieceId: `p${no}`,
      firingId: `f${no}`,
      seenAt: `2026-01-0${no}`,
      surface: 'gloss',
      opacity: null,
      colour,
      movementMm: null,
      met: null,
      rating: null,
      signs: [],
      variables: {},
      coneKnown: 'seen',
      changes: { later: [], gone: [], surfaceWas: null },
      split: [],
      lab,
    }) as unknown as Testimony;
  const worded = summarise([saw(1, 'blue', null), saw(2, 'blue', null)]);
  expect(worded.standing).toBe('repeated');
  const apart = summarise([saw(1, 'blue', [30, 0, -30]), saw(2, 'blue', [60, 0, -30])], 10);
  expect(apart.standing).toBe('contradictory');
  expect(apart.divisions.map(({ about }) => about)).toEqual(['colour']);
  expect(summarise([saw(1, 'red', [30, 0, -30]), saw(2, 'blue', [34, 0, -30])], 10).standing).toBe(
    'repeated',
  );
  // A studio whose repeats scatter widely calls that one colour.
  expect(summarise([saw(1, 'blue', [30, 0, -30]), saw(2, 'blue', [60, 0, -30])], 40).standing).toBe(
    'repeated',
  );
});
