import fc from 'fast-check';
import { cups, grid, lineBlend, triaxial } from './blends';
import {
  absorption,
  daysLeft,
  firedSize,
  howManyToMake,
  ringTiles,
  slipFit,
  tilesFromClay,
  wetSize,
} from './clay';
import { confounding, differences, placesFor, seeded, shuffled } from './confound';
import { CRAZING_STEP, planTiles, type Design } from './plan';

const apply = { method: 'dip', coats: 1, weight: 'normal', seconds: null } as const;
const common = { bodies: ['Drift'], repeats: 1, controls: true, apply };

describe('blends', () => {
  test.each([
    [3, 10],
    [5, 21],
    [10, 66],
  ])('a triaxial of %d steps a side has %d points', (steps, points) => {
    expect(triaxial(steps)).toHaveLength(points);
  });

  test('weights sum to 1, corners are pure, and the middle of a triaxial is a third each', () => {
    for (const points of [lineBlend(11), triaxial(3), triaxial(6), grid(5, 7), grid(2, 2)]) {
      for (const { weights } of points) {
        expect(weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 12);
        for (const weight of weights) expect(weight).toBeGreaterThanOrEqual(0);
      }
      const corners = points[0]!.weights.length;
      for (let corner = 0; corner < corners; corner++)
        expect(points.filter(({ weights }) => weights[corner] === 1)).toHaveLength(1);
    }
    const middle = triaxial(3).find(({ weights }) =>
      weights.every((one) => Math.abs(one - 1 / 3) < 1e-9),
    );
    expect(middle).toBeDefined();
  });

  test('triaxial weights are those of a plain reference: barycentric steps', () => {
    // Reference implementation: all whole thirds (a, b, c) with a + b + c = n.
    for (const n of [1, 2, 4, 7]) {
      const reference = new Set<string>();
      for (let a = 0; a <= n; a++)
        for (let b = 0; a + b <= n; b++) reference.add([a, b, n - a - b].join());
      const ours = new Set(
        triaxial(n).map(({ weights }) => weights.map((weight) => Math.round(weight * n)).join()),
      );
      expect(ours).toEqual(reference);
    }
  });

  test('grid weights are those of a plain reference: two line blends of two line blends', () => {
    const [rows, columns] = [5, 7];
    for (const { row, column, weights } of grid(rows, columns)) {
      const down = lineBlend(rows)[row]!.weights;
      const right = lineBlend(columns)[column]!.weights;
      const reference = [
        down[0]! * right[0]!,
        down[0]! * right[1]!,
        down[1]! * right[0]!,
        down[1]! * right[1]!,
      ];
      weights.forEach((weight, i) => expect(weight).toBeCloseTo(reference[i]!, 12));
    }
    expect(grid(5, 7)).toHaveLength(35);
  });

  test('designs too small to blend are refused', () => {
    expect(() => lineBlend(1)).toThrow(RangeError);
    expect(() => triaxial(0)).toThrow(RangeError);
    expect(() => grid(1, 7)).toThrow(RangeError);
    expect(() => grid(2, 2.5)).toThrow(RangeError);
  });

  test('every cup holds the same, in steps that can be measured', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 7 }),
        fc.integer({ min: 2, max: 9 }),
        fc.constantFrom(50, 60, 100, 120),
        fc.constantFrom(1, 2, 5),
        (rows, columns, cupMl, measureMl) => {
          const points = grid(rows, columns);
          const plan = cups(points, cupMl, measureMl, 0.1);
          for (const { ml } of plan.cups) {
            expect(ml.reduce((sum, one) => sum + one, 0)).toBeCloseTo(cupMl, 9);
            for (const one of ml)
              expect(Math.abs(one / measureMl - Math.round(one / measureMl))).toBeLessThan(1e-9);
          }
          plan.needed.forEach((needed, corner) =>
            expect(needed).toBeCloseTo(
              1.1 * plan.cups.reduce((sum, cup) => sum + cup.ml[corner]!, 0),
              6,
            ),
          );
        },
      ),
    );
  });

  test('the four corners of the 35-grid need as much each, and small shares are pointed out', () => {
    const plan = cups(grid(5, 7), 60, 1);
    for (const needed of plan.needed) expect(Math.abs(needed - plan.needed[0]!)).toBeLessThan(15);
    expect(cups(grid(5, 7), 20, 5).doubtful.length).toBeGreaterThan(0);
    expect(() => cups(grid(2, 2), 0, 1)).toThrow(RangeError);
    expect(() => cups(grid(2, 2), 10, 20)).toThrow(RangeError);
  });
});

describe('planned tiles', () => {
  const designs: Design[] = [
    { ...common, kind: 'coats', coating: 'Tarn', coats: [3, 1, 2] },
    { ...common, kind: 'coats on one tile', coating: 'Tarn', most: 4 },
    { ...common, kind: 'seconds', coating: 'Tarn', seconds: [1, 3, 6] },
    { ...common, kind: 'across bodies', bodies: ['Drift', 'Peat'], stack: ['Tarn', 'Pitch'] },
    { ...common, kind: 'factorial', coatings: ['Tarn', 'Gull'], coats: [1, 2] },
    { ...common, kind: 'line', corners: ['A', 'B'], points: 5 },
    { ...common, kind: 'triaxial', corners: ['A', 'B', 'C'], steps: 4 },
    { ...common, kind: 'grid', corners: ['A', 'B', 'C', 'D'], rows: 5, columns: 7 },
    { ...common, kind: 'colourant', base: 'A', material: 'Red iron oxide', percents: [2, 4, 8] },
    { ...common, kind: 'crazing', base: 'A', steps: 5, silica: 'Silica', kaolin: 'Kaolin' },
    { ...common, kind: 'body and glaze', glaze: 'A', percents: [0, 10, 20, 30] },
    { ...common, kind: 'list', stacks: [['Tarn'], ['Tarn', 'Pitch']] },
    { ...common, kind: 'matrix', bases: ['Tarn', 'Gull'], overs: ['Pitch', 'Tarn'], both: true },
  ];
  test.each(
    [3, 1, 3, 2, 4, 5, 15, 35, 4, 6, 4, 2, 9].map(
      (count, i) => [designs[i]!.kind, count, i] as const,
    ),
  )(
    // prettier-ignore
    'a design of kind “%s” makes %d tiles',
    (_, count, i) => {
      const tiles = planTiles(designs[i]!);
      expect(tiles).toHaveLength(count);
      expect(tiles.map(({ no }) => no)).toEqual(tiles.map((_, at) => at + 1));
      expect(new Set(tiles.map(({ row, column }) => `${row}/${column}`)).size).toBe(count);
      expect(new Set(tiles.map(({ factors }) => JSON.stringify(factors))).size).toBe(count);
      for (const { layers, mix } of tiles) {
        for (const layer of layers) expect(layer.coat === null).toBe(mix !== null);
        if (mix && designs[i]!.kind !== 'body and glaze')
          expect(Object.values(mix.shares).reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
      }
    },
  );

  test('repeats and bodies multiply, repeats are called so, and controls come by default', () => {
    const tiles = planTiles({ ...designs[8]!, bodies: ['Drift', 'Eider'], repeats: 2 });
    expect(tiles).toHaveLength(16);
    expect(tiles.filter(({ role }) => role === 'repeat')).toHaveLength(8);
    expect(tiles.filter(({ role }) => role === 'control').map(({ label }) => label)).toEqual([
      'plain',
      'plain',
    ]);
    expect(planTiles({ ...designs[8]!, controls: false })).toHaveLength(3);
  });

  test('a matrix has each pair once, both ways round, never a coating over itself, and each alone', () => {
    const tiles = planTiles(designs[12]!);
    expect(tiles.map(({ label }) => label).sort()).toEqual(
      [
        'Gull',
        'Pitch',
        'Tarn',
        'Gull over Pitch',
        'Gull over Tarn',
        'Pitch over Gull',
        'Pitch over Tarn',
        'Tarn over Gull',
        'Tarn over Pitch',
      ].sort(),
    );
    expect(tiles.at(-1)!.layers.map(({ stretch }) => stretch)).toEqual([
      { from: 0, to: 2 / 3 },
      { from: 1 / 3, to: 1 },
    ]);
  });

  test('coats on one tile stop lower one after another', () => {
    const [tile] = planTiles(designs[1]!);
    expect(tile!.layers.map(({ stretch }) => stretch.to)).toEqual([1, 0.75, 0.5, 0.25]);
  });

  test('the crazing ladder adds silica and kaolin in step, from as it is', () => {
    const tiles = planTiles(designs[9]!);
    expect(tiles[0]).toMatchObject({ role: 'control', mix: { additions: {} } });
    tiles.slice(1).forEach((tile, i) =>
      expect(tile.mix!.additions).toEqual({
        Silica: (i + 1) * CRAZING_STEP.silica,
        Kaolin: (i + 1) * CRAZING_STEP.kaolin,
      }),
    );
  });

  test('designs that cannot be made are refused', () => {
    expect(() => planTiles({ ...designs[0]!, bodies: [] })).toThrow(/body/);
    expect(() => planTiles({ ...designs[0]!, repeats: 0 })).toThrow(/at least once/);
    expect(() => planTiles({ ...common, kind: 'list', stacks: [] })).toThrow(/no tile/);
    expect(() => planTiles({ ...common, kind: 'line', corners: ['A', 'A'], points: 5 })).toThrow(
      /the same/,
    );
  });
});

describe('what a comparison confuses', () => {
  const piece = (coats: string, body: string, cone = '6') => ({ coats, body, cone });

  test('two pieces: every variable in which they differ, missing ones as not recorded', () => {
    expect(differences(piece('1', 'Drift'), piece('2', 'Drift'))).toEqual([
      { variable: 'coats', a: '1', b: '2' },
    ]);
    expect(differences({ coats: '1' }, { coats: '1', kiln: 'Pip' })).toEqual([
      { variable: 'kiln', a: 'not recorded', b: 'Pip' },
    ]);
    expect(differences(piece('1', 'Drift'), piece('1', 'Drift'))).toEqual([]);
  });

  test('a design that changes more than it asks about is found out', () => {
    const found = confounding([piece('1', 'Drift'), piece('2', 'Peat')], ['coats']);
    expect(found.unasked).toEqual([{ variable: 'body', values: ['Drift', 'Peat'] }]);
    expect(found.together).toEqual([['body', 'coats']]);
  });

  test('crossed variables are not together, and one that never changes is named', () => {
    const crossed = [
      piece('1', 'Drift'),
      piece('2', 'Drift'),
      piece('1', 'Peat'),
      piece('2', 'Peat'),
    ];
    const found = confounding(crossed, ['coats', 'body', 'cone']);
    expect(found).toEqual({ unasked: [], constant: ['cone'], together: [] });
  });
});

describe('random places', () => {
  test('the same seed gives the same order, another another', () => {
    const items = Array.from({ length: 35 }, (_, i) => i);
    expect(shuffled(items, 7)).toEqual(shuffled(items, 7));
    expect(shuffled(items, 7)).not.toEqual(shuffled(items, 8));
    expect([...shuffled(items, 7)].sort((a, b) => a - b)).toEqual(items);
  });

  test('every tile has one place, and shelves are filled evenly', () => {
    const tiles = Array.from({ length: 35 }, (_, i) => ({ no: i + 1 }));
    const places = placesFor(tiles, 3, 42);
    expect(new Set(places.map(({ no }) => no)).size).toBe(35);
    expect(new Set(places.map(({ shelf, place }) => `${shelf}/${place}`)).size).toBe(35);
    expect(Math.max(...places.map(({ shelf }) => shelf))).toBe(3);
  });

  test('over many seeds every tile is on every shelf about as often', () => {
    const onFirst = Array.from(
      { length: 600 },
      (_, seed) =>
        placesFor(
          [1, 2, 3, 4, 5, 6].map((no) => ({ no })),
          2,
          seed,
        ).find(({ no }) => no === 1)!.shelf,
    ).filter((shelf) => shelf === 1).length;
    // 300 expected, standard deviation 12; five of them allowed.
    expect(Math.abs(onFirst - 300)).toBeLessThan(61);
  });

  test('numbers lie in 0 … 1', () => {
    const random = seeded(1);
    for (let i = 0; i < 1000; i++) {
      const value = random();
      expect(value).toBeGreaterThanOrEqual(0);
      expect(value).toBeLessThan(1);
    }
  });
});

describe('clay', () => {
  test('wet size from fired size and back', () => {
    expect(wetSize(88, 0.12)).toBeCloseTo(100, 9);
    expect(firedSize(100, 0.12)).toBeCloseTo(88, 9);
    expect(() => wetSize(88, 12)).toThrow(/fraction/);
    expect(() => firedSize(88, -0.1)).toThrow(RangeError);
  });

  test('a ring of tiles: clay by section, round and density; tiles by width', () => {
    // By hand: (50·6 + 90·6) mm² · π·250 mm · 1.9 g/cm³ = 1253 g; 785 mm cut every 40 mm.
    const ring = { baseWidth: 50, wallHeight: 90, thickness: 6, diameter: 250, tileWidth: 40 };
    expect(ringTiles(ring).grams).toBeCloseTo(1253, 0);
    expect(ringTiles(ring).tiles).toBe(19);
    expect(() => ringTiles({ ...ring, tileWidth: 0 })).toThrow(RangeError);
  });

  test('slab tiles from clay with a tenth lost', () => {
    // By hand: 100 × 50 × 6 mm weigh 57 g; 2000 g less a tenth make 31.
    expect(tilesFromClay(2000, { length: 100, width: 50, thickness: 6 })).toEqual({
      gramsEach: expect.closeTo(57, 6) as number,
      tiles: 31,
    });
    expect(() => tilesFromClay(0, { length: 1, width: 1, thickness: 1 })).toThrow(/Clay/);
  });

  test('absorption by the boiled weight', () => {
    // Published: ASTM C373, (boiled − dry)/dry.
    expect(absorption(200, 204)).toBeCloseTo(2, 9);
    expect(() => absorption(200, 190)).toThrow(/weigh again/);
  });

  test('how many to make for an order', () => {
    // Published: the binomial distribution; 18 good at 85 % want 25, 10 at 90 % want 13, 95 % sure.
    expect(howManyToMake(18, 0.85, 0.95)).toBe(25);
    expect(howManyToMake(10, 0.9, 0.95)).toBe(13);
    expect(howManyToMake(4, 1, 0.95)).toBe(4);
    expect(() => howManyToMake(0, 0.9, 0.9)).toThrow(RangeError);
    expect(() => howManyToMake(3, 0, 0.9)).toThrow(RangeError);
    expect(() => howManyToMake(3, 0.5, 1)).toThrow(RangeError);
  });

  test('slip and body shrinkage are compared before the slip goes on', () => {
    expect(slipFit(0.14, 0.12).words).toMatch(/crack or peel/);
    expect(slipFit(0.1, 0.12).words).toMatch(/flake/);
    expect(slipFit(0.12, 0.12).words).toMatch(/alike/);
  });

  test('stock runs out at the rate at which it went', () => {
    expect(daysLeft(60, 90, 30)).toBe(20);
    expect(daysLeft(60, 0, 30)).toBeNull();
  });
});
