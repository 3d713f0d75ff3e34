import fc from 'fast-check';
import { cups, grid, lineBlend, triaxial } from './blends';
import { ASKS, askFor } from './asks';
import { confounding, differences } from './confound';
import { signOf } from '../signs';
import { CRAZING_STEP, DESIGN_KINDS, designSchema, type Design } from './kinds';
import { planTiles } from './plan';

const apply = {
  method: 'dip',
  coats: 1,
  weight: 'normal',
  seconds: null,
  stage: 'bisque',
} as const;
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
    const middle = triaxial(3).find(({ weights }) => weights.every((one) => Math.abs(one - 1 / 3) < 1e-9));
    expect(middle).toBeDefined();
  });

  test('triaxial weights are those of a plain reference: barycentric steps', () => {
    // Reference implementation: all whole thirds (a, b, c) with a + b + c = n.
    for (const n of [1, 2, 4, 7]) {
      const reference = new Set<string>();
      for (let a = 0; a <= n; a++) for (let b = 0; a + b <= n; b++) reference.add([a, b, n - a - b].join());
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
            // All but the largest are poured by the measure; that one fills the cup up.
            const poured = ml.filter((one, i) => i !== ml.indexOf(Math.max(...ml)) || one === 0);
            for (const one of poured)
              expect(Math.abs(one / measureMl - Math.round(one / measureMl))).toBeLessThan(1e-9);
            for (const one of ml) expect(one).toBeGreaterThanOrEqual(0);
          }
          plan.needed.forEach((needed, corner) =>
            expect(needed).toBeCloseTo(1.1 * plan.cups.reduce((sum, cup) => sum + cup.ml[corner]!, 0), 6),
          );
        },
      ),
    );
  });

  test('a cup holds what was wanted, also where the measure does not go into it', () => {
    const { cups: poured } = cups(lineBlend(3), 25, 10);
    expect(poured.map(({ ml }) => ml)).toEqual([
      [25, 0],
      [15, 10],
      [0, 25],
    ]);
  });

  test('rounding that shifts a blend by more than 2 % is said, and by how much', () => {
    // Thirds of 10 ml by 1 ml: 4, 3 and 3, where 3.33 each were wanted.
    const { cups: poured, shifted } = cups(triaxial(3), 10, 1);
    const middle = poured.find(({ ml }) => ml.every((one) => one > 0))!;
    expect([...middle.ml].sort()).toEqual([3, 3, 4]);
    const third = shifted.find(({ point }) => point === middle.point)!;
    expect(third.by).toBeCloseTo(0.4 - 1 / 3, 9);
    // Pure corners are never shifted; a finer measure or a larger cup shifts nothing.
    expect(shifted.every(({ point }) => poured[point]!.ml.filter((one) => one > 0).length > 1)).toBe(true);
    expect(cups(triaxial(3), 60, 1).shifted).toEqual([]);
  });

  test('the four corners of the 35-grid need as much each, and small shares are pointed out', () => {
    const plan = cups(grid(5, 7), 60, 1);
    for (const needed of plan.needed) expect(Math.abs(needed - plan.needed[0]!)).toBeLessThan(15);
    expect(cups(grid(5, 7), 20, 5).doubtful.length).toBeGreaterThan(0);
    expect(() => cups(grid(2, 2), 0, 1)).toThrow(RangeError);
    expect(() => cups(grid(2, 2), 10, 20)).toThrow(RangeError);
  });
});

type Matrix = Extract<Design, { kind: 'matrix' }>;
const matrix = (rest: Partial<Matrix> = {}): Matrix => ({
  ...common,
  kind: 'matrix',
  bases: ['Tarn', 'Gull'],
  overs: ['Pitch', 'Tarn'],
  both: true,
  baseCoats: [1],
  overCoats: [1],
  baseOn: 'lower two thirds',
  overOn: 'upper two thirds',
  ...rest,
});

describe('planned tiles', () => {
  const designs: Design[] = [
    { ...common, kind: 'coats', coating: 'Tarn', coats: [3, 1, 2] },
    { ...common, kind: 'coats on one tile', coatings: ['Tarn'], most: 4, thickAt: 'rim' },
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
    matrix(),
  ];
  test.each(
    [3, 1, 3, 2, 4, 5, 15, 35, 4, 6, 4, 2, 9].map((count, i) => [designs[i]!.kind, count, i] as const),
  )('a design of kind “%s” makes %d tiles', (_, count, i) => {
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
  });

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

  test('a matrix by several numbers of coats says them, has each single, and a place for every tile', () => {
    const tiles = planTiles(
      matrix({ bases: ['Tarn'], overs: ['Pitch'], baseCoats: [2, 1], overCoats: [1, 3] }),
    );
    const pairs = tiles.filter(({ role }) => role === 'test');
    // Two ways round, two numbers below, two on top.
    expect(pairs).toHaveLength(8);
    expect(pairs[0]).toMatchObject({
      label: 'Pitch, 1 coat over Tarn, 1 coat',
      factors: { base: 'Tarn', over: 'Pitch', 'base coats': '1', 'over coats': '1' },
    });
    expect(pairs.map(({ layers }) => layers.map(({ coats }) => coats).join('+'))).toEqual([
      '1+1',
      '1+3',
      '2+1',
      '2+3',
      '1+1',
      '1+3',
      '2+1',
      '2+3',
    ]);
    const alone = tiles.filter(({ role }) => role === 'control').map(({ label }) => label);
    expect(alone.sort()).toEqual(
      ['Tarn', 'Pitch'].flatMap((coat) => [`${coat}, 1 coat`, `${coat}, 2 coats`, `${coat}, 3 coats`]).sort(),
    );
    expect(new Set(tiles.map(({ row, column }) => `${row}/${column}`)).size).toBe(tiles.length);
    // One way round, no singles, nothing over itself.
    expect(planTiles(matrix({ both: false, controls: false })).map(({ label }) => label)).toEqual([
      'Pitch over Tarn',
      'Pitch over Gull',
      'Tarn over Gull',
    ]);
    expect(planTiles(matrix({ overs: [] })).map(({ label }) => label)).toEqual(['Tarn', 'Gull']);
    const where = planTiles(matrix({ baseOn: 'foot to rim', overOn: 'upper third' })).at(-1)!;
    expect(where.layers.map(({ stretch }) => stretch)).toEqual([
      { from: 0, to: 1 },
      { from: 2 / 3, to: 1 },
    ]);
  });

  test('coats on one tile are most at the rim, where nothing runs onto the shelf, unless the foot is chosen', () => {
    const [rim] = planTiles(designs[1]!);
    expect(rim!.layers.map(({ stretch }) => stretch)).toEqual(
      [0, 0.25, 0.5, 0.75].map((from) => ({ from, to: 1 })),
    );
    const foot = { ...designs[1]!, thickAt: 'foot' } as Design;
    expect(planTiles(foot)[0]!.layers.map(({ stretch }) => stretch.to)).toEqual([1, 0.75, 0.5, 0.25]);
  });

  test('coats of several coatings build up one over another on one tile', () => {
    const both = { ...designs[1]!, coatings: ['Tarn', 'Pitch'], most: 2 } as Design;
    const [tile] = planTiles(both);
    expect(tile!.label).toBe('Pitch over Tarn, up to 2 coats each');
    expect(tile!.layers.map(({ coat, stretch }) => [coat, stretch.from])).toEqual([
      ['Tarn', 0],
      ['Tarn', 0.25],
      ['Pitch', 0.5],
      ['Pitch', 0.75],
    ]);
  });

  test('the stage of the clay goes with every coat', () => {
    const raw = { ...designs[3]!, apply: { ...apply, stage: 'leather-hard' } } as Design;
    for (const { layers } of planTiles(raw))
      for (const layer of layers) expect(layer.stage).toBe('leather-hard');
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
    expect(() => planTiles({ ...common, kind: 'line', corners: ['A', 'A'], points: 5 })).toThrow(/the same/);
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
    const crossed = [piece('1', 'Drift'), piece('2', 'Drift'), piece('1', 'Peat'), piece('2', 'Peat')];
    const found = confounding(crossed, ['coats', 'body', 'cone']);
    expect(found).toEqual({ unasked: [], constant: ['cone'], together: [] });
  });
});

describe('what is asked', () => {
  test('every question proposes designs that there are, and every design answers a question', () => {
    for (const { designs, about } of ASKS) {
      for (const kind of designs) expect(DESIGN_KINDS).toContain(kind);
      if (about !== undefined) expect(signOf(about)).toBeDefined();
    }
    for (const kind of DESIGN_KINDS) expect(askFor(kind).designs).toContain(kind);
    expect(askFor('crazing')).toMatchObject({ ask: 'What stops it crazing?', about: 'crazing' });
    expect(askFor('matrix').ask).toBe('Which glaze goes over which?');
  });

  test('a design is refused in words where a part of it cannot be', () => {
    const wrong = (design: object): string | undefined =>
      designSchema.safeParse(design).error?.issues[0]?.message;
    expect(wrong(matrix({ overs: [] }))).toBeUndefined();
    expect(wrong(matrix({ bases: [] }))).toBe('Choose at least 1.');
    expect(wrong(matrix({ baseCoats: [11] }))).toBe('At most ten coats.');
    expect(wrong(matrix({ baseCoats: [1.5] }))).toBe('Whole coats only.');
    expect(wrong({ ...common, kind: 'line', corners: ['A', 'A'], points: 5 })).toMatch(/the same/);
    expect(wrong({ ...common, kind: 'line', corners: ['A', 'B'], points: 2 })).toBe('At least 3.');
    expect(wrong({ ...common, kind: 'triaxial', corners: ['A', 'B'], steps: 2 })).toBe('Choose 3 of them.');
    expect(wrong({ ...common, kind: 'seconds', coating: '', seconds: [1, 2] })).toBe('Choose a coating.');
    expect(wrong({ ...common, kind: 'seconds', coating: 'A', seconds: [1, 700] })).toMatch(/ten minutes/);
    expect(wrong({ ...common, bodies: [], kind: 'coats', coating: 'A', coats: [1] })).toBe(
      'Choose at least one body.',
    );
  });
});
