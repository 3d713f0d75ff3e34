import fc from 'fast-check';
import { ATMOSPHERES } from '../signs';
import { CONE_KNOWN } from '../firing';
import { CELL, chartAddress } from './address';
import { AXES, byCone, CONE, BASE, OVER, type Placed } from './axes';
import { crossingKey, layOut } from './layout';

const names = { body: (slug: string) => `B ${slug}`, coating: (slug: string) => `C ${slug}` };
const cell = (rest: Partial<Placed> & { pieces?: number } = {}) => ({
  body: 'saltbox',
  slips: '',
  cone: '6',
  atmosphere: 'oxidation',
  base: 'pitch',
  over: 'tarn',
  depth: 2,
  generation: 1,
  coneKnown: 'read' as const,
  pieces: 1,
  ...rest,
});
const better = (a: { pieces: number }, b: { pieces: number }): number => b.pieces - a.pieces;

test('every axis has an id of its own, a value, an order and words for each value', () => {
  const values: Record<string, readonly string[]> = {
    base: ['pitch'],
    over: ['', 'tarn'],
    body: ['saltbox'],
    ground: ['', 'chalk-slip#1', 'chalk-slip#2 + light slip'],
    cone: ['04', '5.5', '10', 'unknown'],
    atmosphere: ATMOSPHERES,
    depth: ['0', '1', '3'],
    generation: ['0', '1', '2'],
    'cone-known': CONE_KNOWN,
  };
  expect(Object.keys(AXES).sort()).toEqual(Object.keys(values).sort());
  for (const [id, axis] of Object.entries(AXES)) {
    expect(axis.id).toBe(id);
    expect(axis.value(cell())).not.toBeNull();
    const sorted = [...values[id]!].sort(axis.order);
    for (const one of sorted) expect(axis.words(one, names)).not.toBe('');
    // An order that never says −1 for two different values would leave them as they came.
    for (let i = 1; i < sorted.length; i++)
      expect([id, axis.order(sorted[i - 1]!, sorted[i]!) < 0]).toEqual([id, true]);
  }
});

test('values in words', () => {
  expect(AXES.ground.words('', names)).toBe('bare body');
  expect(AXES.ground.words('chalk-slip#2 + light slip', names)).toBe('C chalk-slip v2 and light slip');
  expect(AXES.cone.words('5.5', names)).toBe('cone 5½');
  expect(AXES.over.words('', names)).toBe('by itself');
  expect(AXES.generation.words('2', names)).toBe('firing 2');
  expect(AXES['cone-known'].words('intended', names)).toBe('as intended, cones not read');
});

test('cones go by heat, 06 before 6, and what is unknown last', () => {
  expect(['unknown', '10', '6', '5.5', '04', '06'].sort(byCone)).toEqual([
    '06',
    '04',
    '5.5',
    '6',
    '10',
    'unknown',
  ]);
});

test('the best known way is shown, the others are counted, one coat by itself has its own column', () => {
  const { crossings, rows, columns } = layOut(
    [cell({ cone: '5' }), cell({ pieces: 4 }), cell({ over: null }), cell({ base: null })],
    { rows: BASE, columns: OVER, better },
  );
  expect(crossings.get(crossingKey('pitch', 'tarn'))).toMatchObject({
    ways: 2,
    pieces: 5,
    main: { cone: '6' },
  });
  expect(crossings.get(crossingKey('pitch', ''))).toMatchObject({ ways: 1 });
  expect(crossings.size).toBe(2);
  expect([rows, columns]).toEqual([['pitch'], ['', 'tarn']]);
});

test('any two axes: each piece is counted once wherever its cell has a place', () => {
  const any = fc.record({
    cone: fc.constantFrom('04', '6', '10', 'unknown'),
    atmosphere: fc.constantFrom(...ATMOSPHERES),
    base: fc.constantFrom('pitch', 'tarn', null),
    pieces: fc.integer({ min: 1, max: 9 }),
  });
  fc.assert(
    fc.property(fc.array(any), (list) => {
      const cells = list.map((one) => cell(one));
      const { crossings } = layOut(cells, { rows: CONE, columns: AXES.atmosphere, better });
      const sum = (all: Iterable<{ pieces: number }>): number =>
        [...all].reduce((total, { pieces }) => total + pieces, 0);
      expect(sum(crossings.values())).toBe(sum(cells));
      expect([...crossings.values()].reduce((n, { ways }) => n + ways, 0)).toBe(cells.length);
      for (const { main, row } of crossings.values()) expect(main.cone).toBe(row);
    }),
  );
});

test('a cell has an address that opens it: by its pair, or by itself where no pair says it', () => {
  const cell = {
    id: 'ab12',
    body: 'peat',
    slips: 'soot-slip#1',
    cone: '?6',
    atmosphere: 'light reduction',
    base: 'tarn',
    over: 'pitch',
    depth: 2,
  };
  const asked = (one: Parameters<typeof chartAddress>[0]): Record<string, string> =>
    Object.fromEntries(new URL(chartAddress(one), 'http://studio').searchParams);
  expect(asked(cell)).toEqual({
    body: 'peat',
    cone: '?6',
    atmosphere: 'light reduction',
    ground: 'soot-slip#1',
    at: 'tarn/pitch',
  });
  expect(asked({ ...cell, over: null, depth: 1 }).at).toBe('tarn/');
  expect(asked({ ...cell, depth: 3 }).at).toBe(`${CELL}ab12`);
  expect(asked({ ...cell, base: null, over: null, depth: 0 }).at).toBe(`${CELL}ab12`);
});
