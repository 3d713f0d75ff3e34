/** One picture of a shelf becomes the picture of every piece on it, and is taken back as one. */
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { deltaE, type Lab } from '@/core/colour';
import { framesOf } from '@/data/frames';
import { listPhotos } from '@/data/photos';
import { Random } from '../../../demo/random';
import { developed, photograph } from '../../../test-support/photographs/camera';
import { PLAIN } from '../../../test-support/photographs/ranges';
import { drawScene } from '../../../test-support/photographs/scene';
import {
  fired,
  layer,
  makePieces,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';

let studio: TestStudio;
let folder: string;
let load: { firingId: string; ids: string[] };
let bytes: Buffer;
let outlines: [number, number][][];
let size: { width: number; height: number };
let grey: { x: number; y: number }[];
const CARD = [30, 60, 90];
/** Each tile on the shelf is of another lightness. */
const LIGHT = [35, 50, 65, 80];

beforeAll(async () => {
  studio = await testStudio();
  folder = await mkdtemp(join(tmpdir(), 'shelf-'));
  process.env.JITEN_DATA = folder;
  load = await fired(studio, [layer(studio.version('tarn'), 0, 1)], { count: 4 });
  await studio.must('opening.record', recordInput(load.firingId, load.ids, { surface: 'gloss' }));
  await studio.must('frames.card', { card: CARD });
  const scene = drawScene(new Random(8), PLAIN, 'shelf');
  scene.slabs.forEach((slab, i) => {
    const lab: Lab = [LIGHT[i % 4]!, 0, 8];
    slab.patches = [{ from: 0, to: 1, lab, mottle: 0.03, gloss: 0 }];
  });
  scene.card!.steps = CARD.map((l): Lab => [l, 0, 0]);
  const picture = photograph(scene, { ...PLAIN, exposure: [-0.3, 0] }, 8, 960);
  bytes = await developed(picture);
  ({ outlines } = picture.truth as unknown as { outlines: [number, number][][] });
  size = picture.truth;
  grey = picture.truth.card!.middles.map(([x, y]) => ({ x: x / size.width, y: y / size.height }));
});
afterAll(async () => {
  await studio.db.destroy();
  await rm(folder, { recursive: true });
});

const frame = (i: number) => ({
  face: 1,
  guessed: true,
  shape: {
    kind: 'corners',
    corners: outlines[i]!.map(([x, y]) => ({ x: x / size.width, y: y / size.height })),
  },
});
const keep = (pieces: object[], as = studio.technician, file = bytes) =>
  studio.actWithFile<{ photoIds: string[]; added: string[]; measured: number }>(
    'frames.shelf',
    { firingId: load.firingId, pieces, grey },
    file,
    as,
  );
/** Where it has to be kept. */
const kept = async (...args: Parameters<typeof keep>) => {
  const answer = await keep(...args);
  if (!answer.ok) throw new Error(answer.problem.message);
  return answer.data;
};
const photos = () => listPhotos(studio.db, { pieceIds: load.ids });

test('every piece has the picture with its own frame and its own colour; it is kept once; undone for all at once', async () => {
  const made = await kept(load.ids.map((pieceId, i) => ({ pieceId, frames: [frame(i)] })));
  expect(made.measured).toBe(4);
  const here = await photos();
  expect(new Set(here.map(({ sha }) => sha)).size).toBe(1);
  expect(here.map(({ pieceId }) => pieceId).sort()).toEqual([...load.ids].sort());
  for (const [i, id] of load.ids.entries()) {
    const [own] = await framesOf(
      studio.db,
      here.filter(({ pieceId }) => pieceId === id).map((one) => one.id),
    );
    expect(deltaE(own!.colours[0]!.lab, [LIGHT[i]!, 0, 8])).toBeLessThan(4);
  }
  const { photo_cut: cut } = await studio.db('cell').where({ base_slug: 'tarn' }).first('photo_cut');
  expect(cut.width).toBeLessThan(0.4);
  // Sent again, nothing is doubled, and taking that back leaves what was there before.
  const again = await kept([{ pieceId: load.ids[0], frames: [frame(0)] }]);
  expect(again).toMatchObject({
    photoIds: [here.find(({ pieceId }) => pieceId === load.ids[0])!.id],
    added: [],
  });
  const refused = await studio.act(
    'frames.shelf-away',
    { photoIds: made.photoIds, binned: true },
    studio.student,
  );
  expect(!refused.ok && refused.problem.message).toMatch(/another’s piece|somebody else/);
  expect(await photos()).toHaveLength(4);
  await studio.must('frames.shelf-away', { photoIds: made.photoIds, binned: true });
  expect(await photos()).toEqual([]);
  expect((await studio.db('cell').where({ base_slug: 'tarn' }).first('photo_cut')).photo_cut).toBeNull();
});

test('a piece of another firing, another’s piece, crossed corners and what is no picture keep nothing', async () => {
  const [other] = (await makePieces(studio, [layer(studio.version('pitch'), 0, 1)], { count: 1 })).ids;
  const of = (pieceId: unknown, rest: object = frame(0)) => [{ pieceId, frames: [rest] }];
  const message = async (...args: Parameters<typeof keep>): Promise<string> => {
    const answer = await keep(...args);
    return answer.ok ? 'kept' : answer.problem.message;
  };
  expect(await message(of(other))).toMatch(/was not in that firing/);
  expect(await message(of(load.ids[0]), studio.student)).toMatch(/not yours/);
  const crossed = frame(0);
  crossed.shape.corners.reverse();
  expect(await message(of(load.ids[0], crossed))).toMatch(/wrong way/);
  expect(await message(of(load.ids[0]), studio.technician, Buffer.from('no picture'))).not.toBe('kept');
  expect(await message([])).not.toBe('kept');
  expect(await photos()).toEqual([]);
});
