import { v7 } from 'uuid';
import {
  advance,
  fired,
  layer,
  makeInput,
  makePieces,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../test-support/studio';
import { bestFiring, queuesOf } from '../core/journey';
import { zoneKey, zonesOf } from '../core/zones';
import { waitingGroups, rebuildJourneys } from './journey';
import { listFirings } from './firings';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const pitch = () => layer(studio.version('pitch'));
const waits = async (id: string): Promise<string | null> =>
  ((await studio.db('piece').where({ id }).first('waiting_for')) as { waiting_for: string | null })
    .waiting_for;
const record = (firingId: string, id: string, verdict: string, rest: object = {}) => {
  const input = recordInput(firingId, [id], { verdict }, rest);
  return studio.must('opening.record', input).then(() => input.pieces[0]!.observationId);
};
async function bisqued(): Promise<{ id: string; firingId: string }> {
  const { ids } = await makePieces(studio, [pitch()], { waitingFor: 'bisque' });
  const firingId = await planFiring(studio, { kind: 'bisque', targetCone: '06' });
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId);
  return { id: ids[0]!, firingId };
}

test('writing up a bisque opening leaves its pieces waiting for glaze', async () => {
  const { id, firingId } = await bisqued();
  expect(await waits(id)).toBe('glaze');
  await record(firingId, id, 'keep');
  expect(await waits(id)).toBe('glaze');
});

test('a refire is wanted, corrected, and taken back: what waits follows each time', async () => {
  const { ids, firingId } = await fired(studio, [pitch()]);
  const id = ids[0]!;
  expect(await waits(id)).toBeNull();
  const first = await record(firingId, id, 'refire');
  expect(await waits(id)).toBe('refire');
  const second = await record(firingId, id, 'keep', { corrects: first });
  expect(await waits(id)).toBeNull();
  await studio.must('opening.withdraw', { observationIds: [second] });
  expect(await waits(id)).toBe('refire');
  await studio.must('opening.withdraw', { observationIds: [first] });
  expect(await waits(id)).toBeNull();
});

test('correcting an old firing does not bring back a refire that has happened', async () => {
  const { ids, firingId } = await fired(studio, [pitch()]);
  const id = ids[0]!;
  const first = await record(firingId, id, 'refire');
  const again = await planFiring(studio, { kind: 'refire' });
  await studio.must('loading.place', { firingId: again, pieceIds: [id], shelf: 1 });
  await advance(studio, again);
  expect(await waits(id)).toBeNull();
  await record(firingId, id, 'refire', { corrects: first });
  expect(await waits(id)).toBeNull();
});

test('what is said of a zone decides nothing about the piece', async () => {
  const { ids, firingId } = await fired(studio, [pitch()]);
  await record(firingId, ids[0]!, 'refire');
  await record(firingId, ids[0]!, 'keep', {
    zone: zoneKey(zonesOf([{ no: 1, kind: 'bare', slip: null }], [], 1)[0]!),
  });
  expect(await waits(ids[0]!)).toBe('refire');
});

test('a firing stepped back, or found to have been a bisque, takes its pieces back with it', async () => {
  const { ids, firingId } = await fired(studio, [pitch()]);
  const id = ids[0]!;
  await studio.must('firings.move', { firingId, from: 'opened', to: 'cooling', reason: 'too hot' });
  expect(await waits(id)).toBe('glaze');
  await studio.must('firings.move', { firingId, from: 'cooling', to: 'opened' });
  expect(await waits(id)).toBeNull();
  const [firing] = await listFirings(studio.db, { limit: 200 }).then((all) =>
    all.filter((one) => one.id === firingId),
  );
  const { kilnId, targetCone, atmosphere, plannedFor, notes } = firing!;
  await studio.must('firings.edit', {
    firingId,
    revision: firing!.revision,
    fields: { kilnId, kind: 'bisque', targetCone, atmosphere, plannedFor, notes },
  });
  expect(await waits(id)).toBe('glaze');
});

test('a pot put on record in an opened bisque waits for glaze', async () => {
  const { firingId } = await bisqued();
  const { ids } = await makePieces(studio, [pitch()], { waitingFor: 'bisque' });
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  expect(await waits(ids[0]!)).toBe('glaze');
});

test('kept and worked out anew agree after a random history', async () => {
  const before = await studio.db('piece').orderBy('id').select('id', 'waiting_for');
  await studio.db('piece').update({ waiting_for: null });
  await studio.db.transaction((trx) => rebuildJourneys(trx));
  expect(await studio.db('piece').orderBy('id').select('id', 'waiting_for')).toEqual(before);
  expect(before.length).toBeGreaterThan(6);
});

test('queues count what waits by one statement, and coatings decide where no cone is wanted', async () => {
  await studio.db('piece').update({ binned_at: new Date() });
  const tarn = () => layer(studio.version('tarn'));
  await studio.must('tests.make', makeInput(studio, [pitch()], { count: 3 }));
  await studio.must('tests.make', makeInput(studio, [tarn()], { count: 2, wantedCone: null }));
  await studio.must('tests.make', makeInput(studio, [], { waitingFor: 'bisque' }));
  await studio.db('coating').where({ slug: 'tarn' }).update({ cone_low: '03', cone_high: '02' });
  let statements = 0;
  const count = (): number => statements++;
  studio.db.on('query', count);
  const groups = await waitingGroups(studio.db, new Date(0));
  studio.db.off('query', count);
  expect(statements).toBe(1);
  const queues = queuesOf(groups);
  expect(queues.map(({ waitsFor, cone, count: n }) => [waitsFor, cone, n])).toEqual([
    ['glaze', '6', 3],
    ['glaze', null, 2],
    ['bisque', null, 1],
  ]);
  expect(queues[1]!.waiting[0]!.coatings).toEqual([{ name: 'Tarn', range: { low: '03', high: '02' } }]);
  expect(groups.every(({ lately, count: n }) => lately === n)).toBe(true);
  const six = { kind: 'glaze', targetCone: '6', atmosphere: 'oxidation', id: v7() } as const;
  expect(queues.map(({ waiting }) => bestFiring(waiting, [six])?.suited ?? 0)).toEqual([3, 0, 0]);
});
