/** Pins of a fault on a piece, on its drawing and in a framed picture, as the clinic reads them. */
import type { SeenSign } from '@/core/looks';
import { loadPieces } from '@/data/pieces';
import { listPhotos } from '@/data/photos';
import { replaceFrames } from '@/data/frames';
import { evidenceOf } from './evidence';
import { pinsOf } from './pins';
import { measure } from '../../../test-support/measured';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';

let studio: TestStudio;
let made: { firingId: string; ids: string[] };
let sha: string;
beforeAll(async () => {
  studio = await testStudio();
  // Tarn below, tarn twice above: thin and thick of one coat.
  made = await fired(
    studio,
    [layer(studio.version('tarn'), 0, 0.5), layer(studio.version('tarn'), 0.5, 1, { coats: 2 })],
    { count: 1 },
  );
  await studio.must('opening.record', recordInput(made.firingId, made.ids, { surface: 'gloss' }));
  await measure(studio.db, studio.technician.id, made.firingId, made.ids, () => [50, 0, 0]);
  sha = (await listPhotos(studio.db, { pieceIds: made.ids }))[0]!.sha;
});
afterAll(() => studio.db.destroy());

const pit = (points: SeenSign['points']): SeenSign => ({
  sign: 'pit',
  severity: 2,
  wanted: false,
  ...(points === undefined ? {} : { points }),
});
const pins = async (points: SeenSign['points']) => {
  const [piece] = await loadPieces(studio.db, { ids: made.ids });
  return pinsOf(studio.db, piece!, 1, [pit(points)]);
};
const on = (x: number, y: number) => ({ face: null, sha, x, y });
/** The frame of a made picture goes from 0.1 (rim) to 0.9 (foot) of its height. */
const high = () => [on(0.4, 0.2), on(0.4, 0.3)];

test('a pin in a framed picture lies in the stack that is there; one beside the frame, or in another picture, in none', async () => {
  const [high, low] = await pins([on(0.4, 0.2), on(0.4, 0.8)]);
  expect(high!.height).toBeCloseTo(0.875, 3);
  expect(high!.stackKeys[0]).toMatch(/×2$/);
  expect(low!.stackKeys[0]).toMatch(/×1$/);
  expect(await pins([on(0.9, 0.2), { ...on(0.4, 0.2), sha: 'f'.repeat(64) }])).toEqual([]);
  expect(await pins([{ face: 1, sha: null, x: 0.5, y: 0.9 }])).toMatchObject([
    { height: expect.closeTo(0.1, 6) },
  ]);
  expect(await pins(undefined)).toEqual([]);
});

test('said of the whole piece and pinned twice in the thick half, the clinic reads that it is only there', async () => {
  const told = async () =>
    new Map(
      (
        await evidenceOf(studio.db, { pieceId: made.ids[0]!, firingId: made.firingId, complaint: 'pit' })
      ).told.map(({ fact, value }) => [fact, value]),
    );
  await studio.must(
    'opening.record',
    recordInput(made.firingId, made.ids, { surface: 'gloss', signs: [pit(undefined)] }),
  );
  expect((await told()).get('thickness')).not.toBe('only-thick');
  await studio.must(
    'opening.record',
    recordInput(made.firingId, made.ids, { surface: 'gloss', signs: [pit(high())] }),
  );
  expect((await told()).get('thickness')).toBe('only-thick');
  // The frame taken away, nobody knows any more where that was.
  const [photo] = await listPhotos(studio.db, { pieceIds: made.ids });
  await replaceFrames(
    studio.db,
    photo!.id,
    { frames: [], grey: null, unframed: false, frameMethod: 1, colourMethod: 2 },
    studio.technician.id,
    new Date(),
  );
  expect((await told()).get('thickness')).not.toBe('only-thick');
});
