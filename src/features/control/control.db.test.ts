/** The control: named from the chart, found in loads and in the queue, and seen firing by firing. */
import { controlPieces, controlSeen, readControl } from '@/data/control';
import { measure } from '../../../test-support/measured';
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

const tile = () => [layer(studio.version('tarn'), 0, 1)];

test('named, it is found again in every firing of a kiln, in their order; taken back, it is what it was', async () => {
  const light = [60, 61, 40];
  for (const [i, l] of light.entries()) {
    const made = await fired(studio, tile(), { count: 2 });
    await studio.must(
      'opening.record',
      recordInput(made.firingId, made.ids, { surface: i === 2 ? 'matt' : 'gloss', movementMm: i }),
    );
    await measure(studio.db, studio.technician.id, made.firingId, made.ids, (_, n) => [l + n, 0, 0]);
    // All in the first one's kiln, one after the other.
    const { kiln_id: kiln } = await studio.db('firing').orderBy('created_at').first('kiln_id');
    await studio
      .db('firing')
      .where({ id: made.firingId })
      .update({ kiln_id: kiln, no: 900 + i });
  }
  const { id: cellId } = await studio.db('cell').where({ base_slug: 'tarn' }).first('id');
  const { before } = await studio.must<{ before: { control: null } }>('control.cell', { cellId });
  expect(before).toEqual({ control: null });
  const control = (await readControl(studio.db))!;
  const { kiln_id: kilnId } = await studio.db('firing').first('kiln_id');
  const seen = await controlSeen(studio.db, control, kilnId);
  expect(seen.map(({ lab, surface, movementMm, tiles }) => [lab![0], surface, movementMm, tiles])).toEqual([
    [60.5, 0, 0, 2],
    [61.5, 0, 1, 2],
    [40.5, 2, 2, 2],
  ]);
  expect(seen.map(({ no }) => no)).toEqual([...seen.map(({ no }) => no)].sort((a, b) => a - b));
  await studio.must('control.say', before);
  expect(await readControl(studio.db)).toBeNull();
  await studio.must('control.cell', { cellId });
});

test('one that waits goes into a planned glaze firing by itself, and can be taken out and put in by hand; other stacks are not it', async () => {
  const control = (await readControl(studio.db))!;
  const waiting = await makePieces(studio, tile(), { count: 1 });
  await makePieces(studio, [layer(studio.version('pitch'), 0, 1)], { count: 1 });
  await studio.db('piece').whereIn('id', waiting.ids).update({ waiting_for: 'glaze' });
  expect((await controlPieces(studio.db, control, 'waiting')).map(({ id }) => id)).toEqual(waiting.ids);
  // It was never fired so high, and a bisque wants none.
  for (const other of [{ targetCone: '10' }, { kind: 'bisque' }, { targetCone: null }]) {
    const id = await planFiring(studio, other);
    expect(await controlPieces(studio.db, control, { firingId: id })).toEqual([]);
  }
  const firingId = await planFiring(studio, {});
  expect((await controlPieces(studio.db, control, { firingId })).map(({ id }) => id)).toEqual(waiting.ids);
  expect(await controlPieces(studio.db, control, 'waiting')).toEqual([]);
  const { id: placementId } = await studio.db('placement').where({ firing_id: firingId }).first('id');
  await studio.must('loading.take-out', { firingId, placementIds: [placementId] });
  expect(await controlPieces(studio.db, control, { firingId })).toEqual([]);
  await studio.must('loading.place', { firingId, pieceIds: waiting.ids, shelf: null });
  expect(await controlPieces(studio.db, control, { firingId })).toHaveLength(1);
});

test('where the control is wanted at another cone, or no tile waits, planning puts nothing in', async () => {
  const planned = async () =>
    (
      await studio.must<{ control: object | null }>('firings.plan', {
        fields: {
          kilnId: studio.kiln,
          kind: 'glaze',
          targetCone: '6',
          atmosphere: 'oxidation',
          plannedFor: null,
          notes: '',
        },
        cones: [],
      })
    ).control;
  expect(await planned()).toBeNull();
  const next = await makePieces(studio, tile(), { count: 1 });
  await studio.db('piece').whereIn('id', next.ids).update({ waiting_for: 'glaze', wanted_cone: '5' });
  expect(await planned()).toBeNull();
  await studio.db('piece').whereIn('id', next.ids).update({ wanted_cone: '6' });
  expect(await planned()).toMatchObject({ placementId: expect.any(String) });
});

test('only who keeps records names it, and only what there is', async () => {
  const { id: cellId } = await studio.db('cell').first('id');
  expect((await studio.act('control.cell', { cellId }, studio.student)).ok).toBe(false);
  const none = await studio.act('control.cell', { cellId: 'f'.repeat(32) });
  expect(!none.ok && none.problem.message).toMatch(/This cell/);
});
