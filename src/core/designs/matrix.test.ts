import fc from 'fast-check';
import type { Coat } from '../zones';
import { stackKey, zonesOfFace } from '../zones';
import { matrixTiles, type MatrixPlan } from './matrix';

const coat = (slug: string): Coat => ({ slug, version: 1, kind: 'glaze' });
const plan = (rest: Partial<MatrixPlan> = {}): MatrixPlan => ({
  bases: [coat('a'), coat('b')],
  overs: [coat('x'), coat('y'), coat('z')],
  base: { method: 'dip', coats: 1, weight: 'normal', stretch: { from: 0, to: 2 / 3 } },
  over: { method: 'dip', coats: 1, weight: 'normal', stretch: { from: 1 / 3, to: 1 } },
  bothOrders: false,
  alone: false,
  repeats: 1,
  ...rest,
});

test('every base meets every over, once for each repeat', () => {
  expect(matrixTiles(plan())).toHaveLength(6);
  expect(matrixTiles(plan({ repeats: 3 }))).toHaveLength(18);
  expect(matrixTiles(plan({ bothOrders: true }))).toHaveLength(12);
  expect(matrixTiles(plan({ alone: true }))).toHaveLength(6 + 5);
});

test('a tile of the matrix shows base, over on base, and over alone', () => {
  const [tile] = matrixTiles(plan());
  expect(
    zonesOfFace({ no: 1, kind: 'bare', slip: null }, tile!.layers).map((zone) =>
      stackKey(zone.stack),
    ),
  ).toEqual(['a#1 dip×1', 'a#1 dip×1 + x#1 dip×1', 'x#1 dip×1']);
});

test('no pair twice and nothing over itself, whatever is chosen', () => {
  const some = fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e'), { minLength: 1 });
  fc.assert(
    fc.property(some, some, fc.boolean(), fc.boolean(), (bases, overs, bothOrders, alone) => {
      const tiles = matrixTiles(
        plan({ bases: bases.map(coat), overs: overs.map(coat), bothOrders, alone }),
      );
      const keys = tiles.map((tile) => `${tile.base.slug}/${tile.over?.slug}`);
      expect(new Set(keys).size).toBe(keys.length);
      for (const tile of tiles) expect(tile.over?.slug).not.toBe(tile.base.slug);
      const pairs = bases.flatMap((base) =>
        overs.filter((over) => over !== base).map((over) => `${base}/${over}`),
      );
      for (const pair of pairs) expect(keys).toContain(pair);
    }),
  );
});
