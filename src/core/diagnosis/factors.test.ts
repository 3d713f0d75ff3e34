import { factorsOf, type Compared } from './factors';

const FIRINGS_OWN = new Set(['kiln']);
let no = 0;
/** So many pieces that are alike, so many of which show it. */
const pieces = (
  variables: Record<string, string>,
  shown: number,
  of: number,
  rest: Partial<Compared> = {},
): Compared[] =>
  Array.from({ length: of }, (_, i) => ({
    witness: no++,
    stack: 'ember',
    firingId: 'f1',
    variables: [variables],
    has: i < shown,
    ...rest,
  }));

test('what goes with a fault stands out, with both rates and how much was looked at', () => {
  const found = factorsOf(
    [
      ...pieces({ coats: 'several', shelf: '1' }, 9, 10),
      ...pieces({ coats: 'one', shelf: '1' }, 1, 12),
      ...pieces({ coats: 'several', shelf: '2' }, 8, 9),
      ...pieces({ coats: 'one', shelf: '2' }, 0, 11),
    ],
    FIRINGS_OWN,
  );
  const [first] = found.factors;
  expect(first).toMatchObject({ variable: 'coats', value: 'several', unit: 'pieces', out: true });
  expect(first!.here).toMatchObject({ with: 17, of: 19 });
  expect(first!.elsewhere).toMatchObject({ with: 1, of: 23 });
  expect(first!.ratio).toBeGreaterThan(10);
  // Of two values one comparison says all.
  expect(found.looked).toBe(2);
  expect(found.factors.filter(({ out }) => out)).toHaveLength(1);
  expect(found.all).toMatchObject({ with: 18, of: 42 });
});

test('a circumstance of the firing is counted by firings, however many pieces it held', () => {
  // Two firings, forty pieces: by pieces it would look sure.
  const few = factorsOf(
    [...pieces({ kiln: 'A' }, 20, 20), ...pieces({ kiln: 'B' }, 0, 20, { firingId: 'f2' })],
    FIRINGS_OWN,
  );
  expect(few.factors).toEqual([]);
  const many = factorsOf(
    Array.from({ length: 20 }, (_, i) =>
      pieces({ kiln: i < 10 ? 'A' : 'B' }, i < 10 ? 6 : 1, 8, { firingId: `f${i}` }),
    ).flat(),
    FIRINGS_OWN,
  );
  expect(many.factors[0]).toMatchObject({ variable: 'kiln', value: 'A', unit: 'firings', out: true });
  expect(many.factors[0]!.here).toMatchObject({ with: 10, of: 10 });
});

test('what belongs to the stack is not laid on what goes with the stack', () => {
  // Pitch pits and is always on shelf 1; Tarn does not and is on 2: within a stack the shelf tells nothing.
  const rows = [
    ...pieces({ shelf: '1', stack: 'pitch' }, 18, 20, { stack: 'pitch' }),
    ...pieces({ shelf: '2', stack: 'pitch' }, 3, 3, { stack: 'pitch' }),
    ...pieces({ shelf: '1', stack: 'tarn' }, 0, 3, { stack: 'tarn' }),
    ...pieces({ shelf: '2', stack: 'tarn' }, 1, 20, { stack: 'tarn' }),
  ];
  const found = factorsOf(rows, FIRINGS_OWN, new Set(['stack']));
  expect(found.factors.filter(({ out }) => out).map(({ variable }) => variable)).toEqual(['stack']);
});

test('among many circumstances that tell nothing hardly ever one is told', () => {
  let seed = 7;
  const chance = (): number => (seed = (seed * 48271) % 2147483647) / 2147483647;
  let worlds = 0;
  for (let world = 0; world < 200; world++) {
    const rows = Array.from({ length: 60 }, (_, i) =>
      pieces(
        Object.fromEntries(Array.from({ length: 14 }, (_, k) => [`v${k}`, chance() < 0.5 ? 'a' : 'b'])),
        chance() < 0.3 ? 1 : 0,
        1,
        { firingId: `f${i % 6}`, stack: chance() < 0.5 ? 'one' : 'two' },
      ),
    ).flat();
    if (factorsOf(rows, FIRINGS_OWN).factors.some(({ out }) => out)) worlds++;
  }
  expect(worlds / 200).toBeLessThan(0.08);
});

test('too few compare nothing, and of nothing nothing is said', () => {
  expect(factorsOf([], FIRINGS_OWN)).toMatchObject({ looked: 0, factors: [] });
  expect(
    factorsOf([...pieces({ shelf: '1' }, 2, 2), ...pieces({ shelf: '2' }, 0, 9)], FIRINGS_OWN).looked,
  ).toBe(0);
});

test('a piece is one witness, however many of its stretches were written up', () => {
  // Four slabs that pit and four that do not, each written up in five stretches of the same coat.
  const slabs = (has: boolean, shelf: string): Compared[] =>
    pieces({ shelf }, has ? 4 : 0, 4).flatMap((one) => Array.from({ length: 5 }, () => one));
  const found = factorsOf([...slabs(true, '1'), ...slabs(false, '2')], FIRINGS_OWN);
  expect(found.all).toMatchObject({ with: 4, of: 8 });
  expect(found.factors[0]!.here).toMatchObject({ with: 4, of: 4 });
  // One stretch that shows it is enough for the piece; where coats differ on it each thickness has its word.
  const [piece] = pieces({}, 1, 1);
  const thin = { ...piece!, variables: [{ coats: 'one' }], has: false };
  const thick = { ...piece!, variables: [{ coats: 'two' }], has: true };
  const both = factorsOf(
    [thin, thick, ...pieces({ coats: 'one' }, 0, 4), ...pieces({ coats: 'two' }, 4, 4)],
    FIRINGS_OWN,
  );
  expect(both.all).toMatchObject({ with: 5, of: 9 });
  expect(both.factors[0]).toMatchObject({
    here: { with: 5, of: 5 },
    elsewhere: { with: 0, of: 5 },
  });
});

test('a piece with several stacks is heard once, among those that bear the same', () => {
  // A board: each tile bears a glaze alone, and over another; all on Eider craze, on every stretch.
  const tile = (body: string, has: boolean): Compared[] =>
    pieces({ body }, has ? 1 : 0, 1).flatMap((one) => [one, { ...one, stack: 'tarn>ember' }]);
  const rows = [
    ...Array.from({ length: 6 }, () => tile('eider', true)),
    ...Array.from({ length: 9 }, () => tile('saltbox', false)),
  ].flat();
  const found = factorsOf(rows, FIRINGS_OWN);
  expect(found.all).toMatchObject({ with: 6, of: 15 });
  expect(found.factors[0]!.here).toMatchObject({ with: 6, of: 6 });
  expect(found.factors[0]!.elsewhere).toMatchObject({ with: 0, of: 9 });
});

test('records that pieces share say the same as records of their own', () => {
  const [one, two] = [{ coats: 'one' }, { coats: 'several' }];
  const shared = Array.from({ length: 30 }, (_, i) => ({
    ...pieces({}, i % 3 === 0 ? 1 : 0, 1)[0]!,
    variables: [i % 3 === 0 ? two : one, { shelf: String(i % 2) }],
  }));
  const own = shared.map((each) => ({ ...each, variables: each.variables.map((record) => ({ ...record })) }));
  expect(factorsOf(shared, FIRINGS_OWN)).toEqual(factorsOf(own, FIRINGS_OWN));
});
