/**
 * What follows from measured colours: repeats' scatter, cells that are of two colours, how near a piece came.
 */
import type { Lab } from '@/core/colour';
import { apartIn } from '@/core/colour';
import { besideKin, freshenRepeats, mainColours, makeRepeats, readRepeats } from '@/data/repeats';
import { freshen } from '@/data/cell-summaries';
import { measure } from '../../test-support/measured';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../test-support/studio';

let studio: TestStudio;
/** Two firings of the same two stacks: four tiles each. */
let first: { firingId: string; ids: string[] };
let second: { firingId: string; ids: string[] };

const load = async () => {
  const made = await fired(
    studio,
    [layer(studio.version('tarn'), 0, 0.5), layer(studio.version('pitch'), 0.5, 1)],
    { count: 4 },
  );
  await studio.must(
    'opening.record',
    recordInput(made.firingId, made.ids, { surface: 'gloss', colour: 'green' }),
  );
  return made;
};
const cell = (base: string) => studio.db('cell').where({ base_slug: base }).first();
const grey = (l: number): Lab => [l, 0, 0];

beforeAll(async () => {
  studio = await testStudio();
  first = await load();
  second = await load();
});
afterAll(() => studio.db.destroy());

test('a studio that measured nothing knows no scatter, and asks for none', async () => {
  await freshenRepeats(studio.db);
  expect(await studio.db('repeats')).toEqual([]);
  expect(await readRepeats(studio.db)).toEqual({ within: null, between: null });
});

test('cells carry the colour of their pieces; what a grey did not tell is not among them', async () => {
  await measure(studio.db, studio.technician.id, first.firingId, first.ids, (base, i) =>
    base === 'tarn' ? grey(50 + i) : null,
  );
  await measure(
    studio.db,
    studio.technician.id,
    second.firingId,
    second.ids,
    (base) => (base === 'tarn' ? grey(90) : null),
    new Date(),
    false,
  );
  const { colour, standing } = await cell('tarn');
  expect(colour).toMatchObject({ pieces: 4, firings: 1, lab: [51.5, 0, 0] });
  expect(standing).toBe('settled');
  expect((await cell('pitch')).colour).toBeNull();
});

test('measured far apart, a cell is contradictory though every tile was called green; with a studio that scatters so it is not', async () => {
  await measure(studio.db, studio.technician.id, second.firingId, second.ids, (base) =>
    base === 'tarn' ? grey(72) : null,
  );
  const tarn = await cell('tarn');
  expect(tarn.standing).toBe('contradictory');
  expect(tarn.divisions.map(({ about }: { about: string }) => about)).toEqual(['colour']);
  // The studio turns out to scatter by 20 between firings everywhere: then that is one colour.
  await studio.db('repeats').insert({
    id: 1,
    scatter: JSON.stringify({
      within: null,
      between: { usual: 20, low: 18, high: 22, most: 30, groups: 9 },
    }),
    at: new Date(),
  });
  await studio.db('cell').update({ stale: true });
  await freshen(studio.db);
  expect((await cell('tarn')).standing).not.toBe('contradictory');
  // Made again from what is there, six stacks are wanting: it is unknown, and the cell is summed up anew.
  await makeRepeats(studio.db, new Date());
  expect(apartIn(await readRepeats(studio.db))).toBe(12);
  await freshen(studio.db);
  expect((await cell('tarn')).standing).toBe('contradictory');
});

test('the scatter is made again when pictures were framed since, and not oftener than it can change', async () => {
  const at = async (): Promise<number> => (await studio.db('repeats').first('at')).at.getTime();
  const made = await at();
  await freshenRepeats(studio.db, new Date(made + 30_000));
  expect(await at()).toBe(made);
  await measure(
    studio.db,
    studio.technician.id,
    first.firingId,
    first.ids.slice(0, 1),
    () => grey(50),
    new Date(made + 200_000),
  );
  await freshenRepeats(studio.db, new Date(made + 300_000));
  expect(await at()).toBe(made + 300_000);
  await freshenRepeats(studio.db, new Date(made + 900_000));
  expect(await at()).toBe(made + 300_000);
});

test('a piece is compared with the others of its stack, never with itself', async () => {
  const [own] = second.ids;
  const beside = await besideKin(studio.db, own!);
  expect(beside.size).toBe(1);
  const [near] = [...beside.values()];
  // Seven others: four near 51, three at 72; their middle is the upper of the four.
  expect(near).toMatchObject({ pieces: 7, sameFiring: false });
  expect(near!.distance).toBeGreaterThan(10);
  const alone = await fired(studio, [layer(studio.version('pitch'), 0, 1, { coats: 3 })], {
    count: 1,
  });
  await studio.must('opening.record', recordInput(alone.firingId, alone.ids, { surface: 'gloss' }));
  await measure(studio.db, studio.technician.id, alone.firingId, alone.ids, () => grey(80));
  expect((await besideKin(studio.db, alone.ids[0]!)).size).toBe(0);
});

test('of each piece its main colour is read once', async () => {
  expect([...(await mainColours(studio.db, first.ids)).keys()].sort()).toEqual([...first.ids].sort());
  expect(await mainColours(studio.db, [])).toEqual(new Map());
});
