/** What is on a device before it is needed, and a kiln that is opened where there is no network. */
import { findFiring } from '@/data/firings';
import { createPhotos } from '@/data/photos';
import { v7 } from 'uuid';
import {
  advance,
  fired,
  layer,
  makePieces,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import { atHand } from './at-hand';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const pages = async (who = studio.technician) => (await atHand(studio.db, who)).pages.map(({ url }) => url);
/** A firing with a piece in it, as far as it has come. */
async function standing(to: 'loaded' | 'firing' | 'cooling') {
  const { ids } = await makePieces(studio, [layer(studio.version('pitch'))]);
  const pieceId = ids[0]!;
  const firingId = await planFiring(studio);
  await studio.must('loading.place', { firingId, pieceIds: [pieceId], shelf: 1 });
  await advance(studio, firingId, to);
  return { firingId, pieceId };
}

test('firings that cool or are being opened come with their opening; one that is written up goes', async () => {
  const { firingId } = await fired(studio, [layer(studio.version('tarn'))]);
  const cooling = await standing('cooling');
  const own = await pages();
  expect(own).toEqual(
    expect.arrayContaining([
      '/bench',
      '/device',
      `/opening/${firingId}`,
      `/kilns/firings/${firingId}`,
      `/opening/${cooling.firingId}`,
    ]),
  );
  // What is nearest to being opened comes first.
  expect(own.indexOf(`/opening/${firingId}`)).toBeLessThan(own.indexOf(`/opening/${cooling.firingId}`));
  await studio.must('opening.finish', { firingId, done: true });
  expect(await pages()).not.toContain(`/opening/${firingId}`);
});

test('pictures of the pieces in them, once each; of a student only their own pages', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))], { count: 2 });
  const sha = 'a'.repeat(64);
  await createPhotos(
    studio.db,
    ids.map((pieceId) => ({ id: v7(), sha, width: 9, height: 9, originalName: 'a', pieceId, firingId })),
    studio.technician.id,
    new Date(),
  );
  const { pictures, person } = await atHand(studio.db, studio.technician);
  expect(person).toBe(studio.technician.id);
  expect(pictures.filter((url) => url.includes(sha))).toEqual([`/api/pictures/${sha}/medium`]);
  expect(await pages(studio.student)).toEqual(['/mine', '/device']);
  await studio.db('piece').where({ id: ids[0]! }).update({ owner_id: studio.student.id });
  expect(await pages(studio.student)).toEqual(['/mine', '/device', `/opening/${firingId}`]);
});

test('opened in a cellar: when it was, is kept; what was written up there follows it', async () => {
  const { firingId, pieceId } = await standing('cooling');
  await studio
    .db('firing')
    .where({ id: firingId })
    .update({ started_at: new Date('2026-05-01T08:00:00Z') });
  const at = '2026-05-03T09:30:00.000Z';
  await studio.must('firings.move', { firingId, from: 'cooling', to: 'opened', at });
  expect((await findFiring(studio.db, firingId))?.openedAt?.toISOString()).toBe(at);
  await studio.must('opening.record', recordInput(firingId, [pieceId], { surface: 'gloss' }));
  // Said by a second phone as well: it is open already, and nobody is bothered.
  expect(await studio.act('firings.move', { firingId, from: 'cooling', to: 'opened', at })).toMatchObject({
    ok: true,
  });
  expect((await findFiring(studio.db, firingId))?.openedAt?.toISOString()).toBe(at);
});

test('a clock that runs a day ahead, or says before it was lit, opens no kiln then', async () => {
  for (const at of ['2199-01-01T00:00:00.000Z', '1999-01-01T00:00:00.000Z']) {
    const { firingId } = await standing('firing');
    const lit = (await findFiring(studio.db, firingId))!.startedAt!;
    await studio.must('firings.move', { firingId, from: 'firing', to: 'cooling' });
    await studio.must('firings.move', { firingId, from: 'cooling', to: 'opened', at });
    const opened = (await findFiring(studio.db, firingId))!.openedAt!;
    expect(opened.getTime()).toBeGreaterThanOrEqual(lit.getTime());
    expect(opened.getTime()).toBeLessThanOrEqual(Date.now());
    await studio.must('opening.finish', { firingId, done: true });
  }
});
