import { v7 } from 'uuid';
import { createBody, listBodies } from '@/data/bodies';
import { createCoating, listCoatings } from '@/data/coatings';
import { createPerson, listPeople } from '@/data/people';
import { createKiln, listKilns } from '@/data/kilns';
import { entryAt } from '@/data/entries';
import { lateComers } from '@/data/merging';
import { listMergers } from '@/data/mergers';
import { UNMEASURED } from '@/core/load';
import { chartData } from '../chart/server';
import { plainBody, plainCoating } from '../store/server';
import { previewMerge } from './preview';
import {
  fired,
  layer,
  makePieces,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

/** Everything the studio has, but for what tells of mergers and of acts: to hold undo to account. */
async function everything(): Promise<Record<string, unknown>> {
  const tables: string[] = await studio
    .db('information_schema.TABLES')
    .whereRaw('TABLE_SCHEMA = DATABASE()')
    .orderBy('TABLE_NAME')
    .pluck('TABLE_NAME');
  const kept: Record<string, unknown> = {};
  for (const table of tables)
    if (!['merger', 'operation', 'session'].includes(table)) {
      const rows: object[] = await studio.db(table);
      kept[table] = rows.map((row) => JSON.stringify({ ...row, next_firing_no: null, taught: null })).sort();
    }
  return kept;
}

const mergeOf = async (kind: string, fromId: string, intoId: string, versionId: string | null) =>
  studio.must<{ mergerId: string }>('merging.merge', { kind, fromId, intoId, versionId });

test('a doubled body: what it changes is said first, pieces and cells follow, and undo', async () => {
  const double = v7();
  await createBody(studio.db, double, plainBody('Peat stoneware'));
  const glaze = [layer(studio.version('tarn'))];
  const one = await fired(studio, glaze);
  await studio.must('opening.record', recordInput(one.firingId, one.ids, { surface: 'gloss' }));
  const other = await fired(studio, glaze, { bodyId: double });
  await studio.must('opening.record', recordInput(other.firingId, other.ids, { surface: 'gloss' }));
  const before = await everything();

  const wanted = { kind: 'body' as const, fromId: double, intoId: studio.body, versionId: null };
  const preview = await previewMerge(studio.db, wanted, studio.technician.id);
  expect(preview.refused).toBeNull();
  expect(preview.moved).toContainEqual({ noun: 'piece', n: 1 });
  expect(preview.cells!.joined).toEqual([
    expect.objectContaining({ was: 'seen once, 1 piece', becomes: 'repeated, 2 pieces' }),
  ]);
  expect(await everything()).toEqual(before);

  const { mergerId } = await mergeOf('body', double, studio.body, null);
  const cells = await studio.db('cell').select('body_id', 'pieces');
  expect(cells).toEqual([{ body_id: studio.body, pieces: 2 }]);
  const bodies = await listBodies(studio.db);
  expect(entryAt(bodies, 'peat-stoneware')!.slug).toBe('peat');
  // An old address, as in a share link, shows the body it is now.
  const shown = await chartData(studio.db, { body: 'peat-stoneware' });
  expect(shown.chosen!.body.slug).toBe('peat');
  // It is not offered any more, and cannot be taken into use while it is another.
  await studio.must('store.archive', { table: 'body', id: double, archived: false });
  expect((await listBodies(studio.db)).find(({ id }) => id === double)!.archived).toBe(true);

  await studio.must('merging.take-apart', { mergerId });
  expect(await everything()).toEqual(before);
  expect(await studio.act('merging.take-apart', { mergerId })).toMatchObject({ ok: false });
});

test('a doubled coating counts as a version, or keeps its own; what came later stays', async () => {
  const double = v7();
  await createCoating(studio.db, double, plainCoating('Pich'), new Date());
  const coatings = await listCoatings(studio.db);
  const pich = coatings.find(({ id }) => id === double)!;
  const pitch = coatings.find(({ slug }) => slug === 'pitch')!;
  const a = await fired(studio, [layer(pich.versions[0]!.id)]);
  await studio.must('opening.record', recordInput(a.firingId, a.ids, { surface: 'matt' }));
  const before = await everything();

  const { mergerId } = await mergeOf('coating', double, pitch.id, pitch.versions[0]!.id);
  const keys = await studio.db('cell').pluck('stack_key');
  expect(keys).toContain('pitch#1 dip×1');
  expect(keys.join()).not.toContain('pich#');
  // A phone that was away makes another under the old name: it is seen, and brought along.
  const late = await makePieces(studio, [layer(pich.versions[0]!.id)]);
  const merger = (await listMergers(studio.db)).find(({ id }) => id === mergerId)!;
  expect((await lateComers(studio.db, [merger])).get(mergerId)).toBeGreaterThan(0);
  await studio.must('merging.bring-along', { mergerId });
  expect((await lateComers(studio.db, [merger])).get(mergerId)).toBeUndefined();
  await studio.must('merging.take-apart', { mergerId });
  const left = await studio.db('layer').where({ piece_id: late.ids[0] }).pluck('coating_version_id');
  expect(new Set(left)).toEqual(new Set([pich.versions[0]!.id]));
  expect((await everything()).cell).toEqual(before.cell);

  await mergeOf('coating', double, pitch.id, null);
  expect((await listCoatings(studio.db)).find(({ id }) => id === pitch.id)!.versions).toHaveLength(2);
  expect(await studio.db('cell').pluck('stack_key')).toContain('pitch#2 dip×1');
});

test('a doubled kiln: firings get the next numbers; two loads are refused', async () => {
  const double = v7();
  await createKiln(studio.db, double, {
    name: 'Marta 2',
    energy: 'electric',
    control: 'controller',
    volumeL: 200,
    shelves: 3,
    ...UNMEASURED,
    notes: '',
  });
  const own = await planFiring(studio, { kilnId: studio.kiln });
  const firings = [
    await planFiring(studio, { kilnId: double }),
    await planFiring(studio, { kilnId: double }),
  ];
  const numbers = async (): Promise<unknown> =>
    studio
      .db('firing')
      .whereIn('id', [own, ...firings])
      .orderBy('id')
      .select('kiln_id', 'no');
  const before = await numbers();
  const { mergerId } = await mergeOf('kiln', double, studio.kiln, null);
  expect(await numbers()).toEqual([
    { kiln_id: studio.kiln, no: 1 },
    { kiln_id: studio.kiln, no: 2 },
    { kiln_id: studio.kiln, no: 3 },
  ]);
  // The next one goes on counting.
  const next = await planFiring(studio, { kilnId: studio.kiln });
  expect(await studio.db('firing').where({ id: next }).first('no')).toEqual({ no: 4 });
  await studio.must('merging.take-apart', { mergerId });
  expect(await numbers()).toEqual(before);
  await studio.db('firing').whereIn('id', [own, firings[0]!]).update({ status: 'firing' });
  const answer = await studio.act('merging.merge', {
    kind: 'kiln',
    fromId: double,
    intoId: studio.kiln,
  });
  expect(answer).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('load') },
  });
  await studio.db('firing').whereIn('id', [own, firings[0]!]).update({ status: 'planned' });
  expect(entryAt(await listKilns(studio.db), 'marta-2')!.id).toBe(double);
});

test('a doubled person: their looks are one voice; nobody merges themselves away', async () => {
  const double = v7();
  await createPerson(
    studio.db,
    { id: double, name: 'Teach', login: 'teach2', passwordHash: 'none', role: 'teacher' },
    new Date(),
  );
  const as = { ...studio.teacher, id: double, login: 'teach2' };
  const one = await fired(studio, [layer(studio.version('tarn'))]);
  await studio.must(
    'opening.record',
    recordInput(one.firingId, one.ids, { surface: 'satin' }),
    studio.teacher,
  );
  await studio.must('opening.record', recordInput(one.firingId, one.ids, { surface: 'satin' }), as);
  const voices = async (): Promise<number> =>
    new Set(await studio.db('observation').where({ piece_id: one.ids[0] }).pluck('seen_by')).size;
  expect(await voices()).toBe(2);
  const pair = { kind: 'person', fromId: double, intoId: studio.teacher.id };
  expect(await studio.act('merging.merge', pair, studio.teacher)).toMatchObject({ ok: false });
  const { mergerId } = await studio.must<{ mergerId: string }>('merging.merge', pair);
  expect(await voices()).toBe(1);
  const listed = (await listPeople(studio.db)).find(({ id }) => id === double)!;
  expect(listed).toMatchObject({ disabled: true, mergedInto: studio.teacher.id });
  await studio.must('people.disable', { personId: double, disabled: false });
  expect((await listPeople(studio.db)).find(({ id }) => id === double)!.disabled).toBe(true);
  await studio.must('merging.take-apart', { mergerId });
  expect(await voices()).toBe(2);
  for (const [fromId, intoId] of [
    [studio.technician.id, studio.teacher.id],
    [double, double],
  ])
    expect(await studio.act('merging.merge', { kind: 'person', fromId, intoId })).toMatchObject({
      ok: false,
    });
});
