/**
 * A part of a picture is cut away for good: of every piece that has it, off the disk, with frames where they
 * lay.
 */
import { existsSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { framesOf, greysOf } from '@/data/frames';
import { listObservations } from '@/data/observations';
import { createPhotos, findPhoto } from '@/data/photos';
import { keepPicture, originalFile, pictureFile, pictureStore } from '@/platform/objects';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';

let studio: TestStudio;
let folder: string;
let load: { firingId: string; ids: string[] };
let sha: string;
const photos = [v7(), v7()];
const KEEP = { x: 0.5, y: 0, width: 0.5, height: 1 };

beforeAll(async () => {
  studio = await testStudio();
  folder = await mkdtemp(join(tmpdir(), 'crop-'));
  process.env.JITEN_DATA = folder;
  load = await fired(studio, [layer(studio.version('tarn'), 0, 1)], { count: 2 });
  // Left somebody's face, here red; right the tiles, here blue; turned on its side, as a phone writes it.
  const half = (background: string) =>
    sharp({ create: { width: 200, height: 300, channels: 3, background } })
      .png()
      .toBuffer();
  const upright = await sharp({ create: { width: 400, height: 300, channels: 3, background: '#888' } })
    .composite([
      { input: await half('#c00'), left: 0, top: 0 },
      { input: await half('#00c'), left: 200, top: 0 },
    ])
    .png()
    .toBuffer();
  const bytes = await sharp(upright).rotate(270).jpeg().withMetadata({ orientation: 6 }).toBuffer();
  const kept = await keepPicture(pictureStore(), bytes);
  expect([kept.width, kept.height]).toEqual([400, 300]);
  sha = kept.sha;
  await createPhotos(
    studio.db,
    photos.map((id, i) => ({
      id,
      ...kept,
      originalName: 'a',
      pieceId: load.ids[i]!,
      firingId: load.firingId,
    })),
    studio.technician.id,
    new Date(),
  );
  const touch = (x: number) => ({ face: null, sha, x, y: 0.5 });
  const pits = { sign: 'pit', severity: 1, wanted: false, points: [touch(0.6), touch(0.2)] };
  await studio.must(
    'opening.record',
    recordInput(load.firingId, [load.ids[0]!], { surface: 'gloss', signs: [pits] }),
  );
  await studio.must('opening.record', recordInput(load.firingId, [load.ids[1]!], { surface: 'gloss' }));
  for (const [i, photoId] of photos.entries())
    await studio.must('frames.set', {
      photoId,
      frames: [{ face: 1, shape: square(0.55 + 0.2 * i), guessed: true }],
      grey: [{ x: 0.9, y: 0.9 }],
    });
});
afterAll(async () => {
  await studio.db.destroy();
  await rm(folder, { recursive: true });
});

const square = (x: number) => ({
  kind: 'corners' as const,
  corners: [
    { x, y: 0.6 },
    { x: x + 0.15, y: 0.6 },
    { x: x + 0.15, y: 0.4 },
    { x, y: 0.4 },
  ],
});
const crop = (keep: object, as = studio.technician) =>
  studio.act<{ pieces: number }>('frames.crop', { photoId: photos[0], keep }, as);
const message = async (...args: Parameters<typeof crop>): Promise<string> => {
  const answer = await crop(...args);
  return answer.ok ? 'kept' : answer.problem.message;
};
const onDisk = (key: string): boolean => existsSync(join(folder, 'pictures', key.slice(0, 2), key));

test('what would cut into a framed piece, is the whole, or is asked by a student, changes nothing', async () => {
  expect(await message({ x: 0, y: 0, width: 0.8, height: 1 })).toMatch(/cut into .*framed in this picture/);
  expect(await message({ x: 0.5, y: 0, width: 0.5, height: 0.8 })).toMatch(/grey card/);
  expect(await message({ x: 0, y: 0, width: 1, height: 1 })).toMatch(/whole picture/);
  expect(await message(KEEP, studio.student)).toMatch(/student cannot/);
  expect((await findPhoto(studio.db, photos[0]!))!.sha).toBe(sha);
  expect(onDisk(originalFile(sha))).toBe(true);
});

test('both pieces have what was kept of it; nothing of the rest is left on the disk; frames, grey and cells lie where they lay', async () => {
  const answer = await crop(KEEP);
  expect(answer).toMatchObject({ ok: true, data: { pieces: 2 } });
  const now = await Promise.all(photos.map((id) => findPhoto(studio.db, id)));
  expect(now[0]).toMatchObject({ sha: now[1]!.sha, width: 200, height: 300 });
  expect(now[0]!.sha).not.toBe(sha);
  for (const key of [
    originalFile(sha),
    pictureFile(sha, 'large'),
    pictureFile(sha, 'medium'),
    pictureFile(sha, 'small'),
  ])
    expect(onDisk(key)).toBe(false);
  const original = (await pictureStore().read(originalFile(now[0]!.sha)))!;
  const { channels } = await sharp(original).stats();
  // Red was the face: there is none.
  expect(channels[0]!.mean).toBeLessThan(20);
  expect(channels[2]!.mean).toBeGreaterThan(180);
  const frames = await framesOf(studio.db, photos);
  const lefts = frames.map(({ shape }) => (shape as ReturnType<typeof square>).corners[0]!.x).sort();
  expect(lefts[0]).toBeCloseTo(0.1, 6);
  expect(lefts[1]).toBeCloseTo(0.5, 6);
  expect((await greysOf(studio.db, photos)).get(photos[0]!)!.steps[0]!.x).toBeCloseTo(0.8, 6);
  // A touch of what was kept lies where it lay; one on what is gone is a place no more.
  const [look] = await listObservations(studio.db, { pieceIds: [load.ids[0]!] });
  expect(look!.signs[0]!.points).toEqual([
    { face: null, sha: now[0]!.sha, x: expect.closeTo(0.2, 6), y: 0.5 },
  ]);
  const cell = await studio.db('cell').where({ base_slug: 'tarn' }).first('photo_sha', 'photo_cut');
  expect(cell.photo_sha).toBe(now[0]!.sha);
  expect(cell.photo_cut.x).toBeGreaterThan(0.05);
});

test('a second cut of what somebody else has just cut is told so by its original being gone', async () => {
  await rm(join(folder, 'pictures'), { recursive: true });
  expect(await message({ x: 0, y: 0.2, width: 1, height: 0.8 })).toMatch(
    /original of this picture is not there/,
  );
});
