/** A picture whose truth is known is framed: its zones are measured, and the chart shows the zone itself. */
import { mkdtemp, rename, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { deltaE, type Lab } from '@/core/colour';
import type { Cut } from '@/core/frame';
import { framesOf, unframedPhotos } from '@/data/frames';
import { rebuildSummaries } from '@/data/summaries';
import { createPhotos } from '@/data/photos';
import { keepPicture, pictureFile, pictureStore } from '@/platform/objects';
import { measureAgain } from './again';
import { Random } from '../../../demo/random';
import { developed, photograph, type Truth } from '../../../test-support/photographs/camera';
import { PLAIN } from '../../../test-support/photographs/ranges';
import { drawScene } from '../../../test-support/photographs/scene';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';

const LOWER: Lab = [40, 12, 14];
const UPPER: Lab = [72, -10, 4];
const CARD = [30, 60, 90];

let studio: TestStudio;
let folder: string;
let truth: Truth;
let photoId: string;
let piece: { firingId: string; ids: string[] };

/** A tile dipped half and half, beside a card, as the synthetic camera sees it. */
async function taken(): Promise<Buffer> {
  const scene = drawScene(new Random(12), PLAIN, 'tile');
  const [slab] = scene.slabs;
  const even = { mottle: 0.03, gloss: 0 };
  slab!.patches = [
    { from: 0, to: 0.5, lab: LOWER, ...even },
    { from: 0.5, to: 1, lab: UPPER, ...even },
  ];
  scene.card!.steps = CARD.map((l): Lab => [l, 0, 0]);
  scene.stated = CARD;
  const picture = photograph(scene, { ...PLAIN, exposure: [-0.3, 0] }, 12, 720);
  truth = picture.truth;
  return developed(picture);
}

beforeAll(async () => {
  studio = await testStudio();
  folder = await mkdtemp(join(tmpdir(), 'frames-'));
  process.env.JITEN_DATA = folder;
  piece = await fired(studio, [
    layer(studio.version('tarn'), 0, 0.5),
    layer(studio.version('pitch'), 0.5, 1),
  ]);
  await studio.must('opening.record', recordInput(piece.firingId, piece.ids, { surface: 'gloss' }));
  const kept = await keepPicture(pictureStore(), await taken());
  photoId = v7();
  await createPhotos(
    studio.db,
    [{ id: photoId, ...kept, originalName: 'a', pieceId: piece.ids[0]!, firingId: piece.firingId }],
    studio.technician.id,
    new Date(),
  );
});
afterAll(async () => {
  await studio.db.destroy();
  await rm(folder, { recursive: true });
});

const spot = ([x, y]: [number, number]) => ({ x: x / truth.width, y: y / truth.height });
const shape = () => ({ kind: 'corners' as const, corners: truth.outlines[0]!.map(spot) });
const grey = () => truth.card!.middles.map(spot);
const frame = (rest: object = {}, as?: TestStudio['technician']) =>
  studio.act<{ zones: number; byGrey: boolean; why: string | null; before: { frames: object[] } }>(
    'frames.set',
    { photoId, frames: [{ face: 1, shape: shape(), guessed: true }], grey: grey(), ...rest },
    as,
  );
const colours = async () => (await framesOf(studio.db, [photoId])).flatMap((one) => one.colours);
const cells = () =>
  studio.db('cell').orderBy('base_slug').select('base_slug', 'photo_cut') as Promise<
    { base_slug: string; photo_cut: Cut | null }[]
  >;

test('until the studio has said what its card is, colours are kept by eye and named as such', async () => {
  expect(await frame()).toMatchObject({
    ok: true,
    data: { zones: 2, byGrey: false, why: expect.stringMatching(/has not said/) },
  });
  expect((await colours()).map(({ byGrey }) => byGrey)).toEqual([false, false]);
});

test('by the card each zone has the colour it truly has, and each cell shows its own part of the tile', async () => {
  await studio.must('frames.card', { card: CARD });
  expect(await frame()).toMatchObject({ ok: true, data: { zones: 2, byGrey: true, why: null } });
  const [lower, upper] = await colours();
  expect(lower!.zone).toMatch(/^1\|0-500\|/);
  expect(deltaE(lower!.lab, LOWER)).toBeLessThan(3);
  expect(deltaE(upper!.lab, UPPER)).toBeLessThan(3);
  expect(lower!.byGrey && upper!.byGrey).toBe(true);
  const [pitch, tarn] = await cells();
  expect([pitch!.base_slug, tarn!.base_slug]).toEqual(['pitch', 'tarn']);
  const middle = ({ y, height }: Cut): number => y + height / 2;
  expect(middle(pitch!.photo_cut!)).toBeLessThan(middle(tarn!.photo_cut!));
  expect(pitch!.photo_cut!.height).toBeLessThan(0.75 * (pitch!.photo_cut!.height + tarn!.photo_cut!.height));
  expect(pitch!.photo_cut!.outline).toHaveLength(4);
});

test('a frame set anew replaces the old, which stays on record; taken away, the chart shows the whole picture again', async () => {
  const again = await frame({ grey: null });
  expect(again).toMatchObject({
    ok: true,
    data: {
      byGrey: false,
      why: expect.stringMatching(/no grey card in/),
      before: { frames: [{ face: 1, guessed: true }] },
    },
  });
  expect(await framesOf(studio.db, [photoId])).toHaveLength(1);
  expect(Number((await studio.db('frame').whereNotNull('removed_at').count('* as n'))[0]!.n)).toBeGreaterThan(
    1,
  );
  await studio.must('frames.set', { photoId, frames: [], grey: null });
  expect((await cells()).map((one) => one.photo_cut)).toEqual([null, null]);
  expect(await colours()).toEqual([]);
});

test('a frame that waited on a device finds its picture by what it is of; without it nothing is framed', async () => {
  const { sha } = await studio.db('photo').where({ id: photoId }).first('sha');
  const input = {
    act: photoId,
    pieceId: piece.ids[0]!,
    firingId: piece.firingId,
    sha,
    frames: [{ face: 1, shape: shape(), guessed: true }],
    grey: grey(),
  };
  expect(await studio.must('frames.set-of', input)).toEqual({ zones: 2, byGrey: true, why: null });
  expect(await framesOf(studio.db, [photoId])).toHaveLength(1);
  const gone = await studio.act('frames.set-of', { ...input, sha: 'f'.repeat(64) });
  expect(!gone.ok && gone.problem.message).toMatch(/not on record.*frame goes with it/);
  const others = await studio.act('frames.set-of', input, studio.student);
  expect(others.ok).toBe(false);
  await studio.must('media.bin-picture', { photoId, binned: true });
  expect((await studio.act('frames.set-of', input)).ok).toBe(false);
  await studio.must('media.bin-picture', { photoId, binned: false });
});

test('what cannot be a frame, is no grey card, or is another’s, is refused in words', async () => {
  const [a, b, c, d] = shape().corners;
  const of = (corners: unknown[], face = 1) => ({
    face,
    shape: { kind: 'corners', corners },
    guessed: false,
  });
  const message = async (rest: object, as?: TestStudio['technician']): Promise<string> => {
    const answer = await frame(rest, as);
    return answer.ok ? 'kept' : answer.problem.message;
  };
  expect(await message({ frames: [of([a, c, b, d])] })).toMatch(/cross/);
  expect(await message({ frames: [of([b, a, d, c])] })).toMatch(/wrong way/);
  expect(await message({ frames: [of([a, b, c, d]), of([a, b, c, d])] })).not.toBe('kept');
  expect(await message({}, studio.student)).toMatch(/your own pieces/);
  expect(await message({ photoId: v7() })).toMatch(/picture/i);
  // Touched from light to dark: no camera turns it round.
  expect(await frame({ grey: grey().reverse() })).toMatchObject({
    ok: true,
    data: { byGrey: false, why: expect.stringMatching(/not it/) },
  });
  const card = async (steps: number[]) => (await studio.act('frames.card', { card: steps })).ok;
  expect(await card([60, 30])).toBe(false);
  expect(await card([60, 600])).toBe(false);
  expect((await studio.act('frames.card', { card: CARD }, studio.student)).ok).toBe(false);
});

describe('many at once, and which picture stands', () => {
  /** The same tile again, blurred; and from its firing the only other piece that is there. */
  const another = async (pieceId: string, blur: number): Promise<string> => {
    const id = v7();
    const bytes =
      blur > 0
        ? await sharp(await taken())
            .blur(blur)
            .jpeg()
            .toBuffer()
        : await taken();
    const kept = await keepPicture(pictureStore(), bytes);
    await createPhotos(
      studio.db,
      [{ id, ...kept, originalName: 'b', pieceId, firingId: piece.firingId }],
      studio.technician.id,
      new Date(Date.now() + 1000),
    );
    return id;
  };
  const asked = (id: string, rest: object = {}) => ({
    photoId: id,
    frames: [{ face: 1, shape: shape(), guessed: true }],
    grey: grey(),
    ...rest,
  });
  const stands = async (slug: string): Promise<string> =>
    (await studio.db('cell').where({ base_slug: slug }).first('photo_sha')).photo_sha;
  const sha = async (id: string): Promise<string> =>
    (await studio.db('photo').where({ id }).first('sha')).sha;
  const waiting = async () => (await unframedPhotos(studio.db, null, 50)).photos.map(({ id }) => id);
  let blurred: string;

  test('several are framed and measured in one act, counted as waiting before, and taken back as one', async () => {
    await studio.must('frames.set', { photoId, frames: [], grey: null });
    blurred = await another(piece.ids[0]!, 4);
    expect((await waiting()).sort()).toEqual([blurred, photoId].sort());
    const answer = await studio.must<{ framed: number; measured: number; before: object }>(
      'frames.set-many',
      { pictures: [asked(photoId), asked(blurred)] },
    );
    expect(answer).toMatchObject({ framed: 2, measured: 2 });
    expect(await waiting()).toEqual([]);
    await studio.must('frames.set-many', answer.before);
    expect(await waiting()).toHaveLength(2);
    await studio.must('frames.set-many', { pictures: [asked(photoId), asked(blurred)] });
  });

  test('the sharpest framed picture stands for a cell, until somebody chooses another', async () => {
    const [own] = await framesOf(studio.db, [photoId]);
    const [soft] = await framesOf(studio.db, [blurred]);
    expect(own!.sharpness!).toBeGreaterThan(1.5 * soft!.sharpness!);
    expect(await stands('tarn')).toBe(await sha(photoId));
    const { id: cellId } = await studio.db('cell').where({ base_slug: 'tarn' }).first('id');
    const { before } = await studio.must<{ before: object }>('frames.stands', { cellId, photoId: blurred });
    expect([await stands('tarn'), await stands('pitch')]).toEqual([await sha(blurred), await sha(photoId)]);
    // The choice outlives what makes the cell anew.
    await rebuildSummaries(studio.db);
    expect(await stands('tarn')).toBe(await sha(blurred));
    await studio.must('frames.stands', before);
    expect(await stands('tarn')).toBe(await sha(photoId));
    const refused = await studio.act('frames.stands', { cellId, photoId: v7() });
    expect(!refused.ok && refused.problem.message).toMatch(/no piece of this cell/);
    expect((await studio.act('frames.stands', { cellId, photoId }, studio.student)).ok).toBe(false);
  });

  test('a cell has the colour of its pieces; a picture in which there is nothing is asked about no more', async () => {
    const { colour } = await studio.db('cell').where({ base_slug: 'tarn' }).first('colour');
    // Two pictures of one piece are one piece.
    expect(colour).toMatchObject({ pieces: 1, firings: 1, scatter: null });
    expect(deltaE(colour.lab, LOWER)).toBeLessThan(3.5);
    await studio.must('frames.set', { photoId: blurred, frames: [], grey: null, nothing: true });
    expect(await waiting()).toEqual([]);
  });

  test('measured again, after the method has changed: colours are made anew, frames and who set them stay; it can be broken off', async () => {
    const before = await studio.db('frame').whereNull('removed_at').select('id', 'shape', 'set_by', 'at');
    const right = (await studio.db('cell').where({ base_slug: 'tarn' }).first('colour')).colour.lab;
    await studio.db('frame').update({ measured: 1, sharpness: null });
    await studio.db('zone_colour').update({ l: 5, a: 0, b: 0 });
    const told: string[] = [];
    expect(await measureAgain(studio.db, (done, all) => told.push(`${done}/${all}`))).toEqual({
      done: 1,
      unread: [],
    });
    expect(told).toEqual(['1/1']);
    expect((await studio.db('cell').where({ base_slug: 'tarn' }).first('colour')).colour.lab).toEqual(right);
    expect(await studio.db('frame').whereNull('removed_at').select('id', 'shape', 'set_by', 'at')).toEqual(
      before,
    );
    expect(await measureAgain(studio.db)).toEqual({ done: 0, unread: [] });
    // A file that is gone is named, and what was measured of it stays.
    await studio.db('frame').update({ measured: null });
    const { sha: gone } = await studio.db('photo').where({ id: photoId }).first('sha');
    const file = join(folder, 'pictures', gone.slice(0, 2), pictureFile(gone, 'large'));
    await rename(file, join(folder, 'away'));
    expect(await measureAgain(studio.db)).toEqual({ done: 0, unread: [photoId] });
    await rename(join(folder, 'away'), file);
    expect((await colours()).length).toBe(2);
    expect((await measureAgain(studio.db)).done).toBe(1);
  });

  test('a second, slipped face that nobody framed does not show the picture of the first', async () => {
    await studio
      .db('face')
      .insert({ piece_id: piece.ids[0], no: 2, kind: 'light-slip', slip_version_id: studio.version('tarn') });
    await rebuildSummaries(studio.db);
    const rows = await studio
      .db('sighting')
      .join('cell', 'cell.id', 'sighting.cell_id')
      .select('sighting.face_no', 'cell.photo_sha');
    const of = (face: number) =>
      new Set(rows.filter((row) => row.face_no === face).map((row) => row.photo_sha));
    expect(of(1)).toEqual(new Set([await sha(photoId)]));
    expect(of(2)).toEqual(new Set([null]));
  });
});
