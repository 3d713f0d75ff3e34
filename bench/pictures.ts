import sharp from 'sharp';
import { v7 } from 'uuid';
import { nearestCells, type Lab } from '../src/core/colour';
import { look } from '../src/core/sight';
import { ROUND, type Zone } from '../src/core/zones';
import { zonesNear } from '../src/data/colour-search';
import type { Database, Row } from '../src/data/database';
import { measured } from '../src/features/frames/measure';
import { rasterOf } from '../src/platform/raster';
import { Random } from '../demo/random';
import { developed, photograph } from '../test-support/photographs/camera';
import { PLAIN } from '../test-support/photographs/ranges';
import { drawScene, type Subject } from '../test-support/photographs/scene';
import { ratio, type Bench, type Sized } from './measure';
import { bring, csv, studio, technician } from './studio';

/** A synthetic photograph, made as large as a phone's. */
async function photo(subject: Subject, seed: number, sized: Sized): Promise<Buffer> {
  const scene = drawScene(new Random(seed), PLAIN, subject);
  const small = await developed(photograph(scene, PLAIN, seed, 960));
  return sharp(small)
    .resize(sized(4000, 1200), sized(3000, 900), { fit: 'fill' })
    .jpeg({ quality: 88 })
    .toBuffer();
}

const zone = (from: number, to: number): Zone => ({
  face: 1,
  stretch: { from, to },
  sector: ROUND,
  relief: 'all',
  ground: [],
  stack: [],
});
const CARD = [20.5, 49.5, 95.3];

/** What a look at a picture and a search by colour cost against what they cannot do without. */
export const benchPictures: Bench = async (server, sized) => {
  const zones = sized(50_000, 700);
  const one = await photo('tile', 3, sized);
  const raster = await rasterOf(one);
  // What is looked at in the application: a browser hands its worker no more than this.
  const shown = await rasterOf(one, 960);
  await ratio(
    'Frame and colours of a picture of 12 megapixels, against decoding and reducing it',
    2,
    sized(8, 1),
    async () => {
      const { frames, grey } = look(shown, { cards: [CARD] });
      const steps = grey.found?.steps.map(({ at }) => at) ?? null;
      measured(
        raster,
        frames.map(({ shape }) => ({ face: 1, shape, guessed: true })),
        [zone(0, 0.5), zone(0.5, 1)],
        { steps, card: CARD },
      );
    },
    () => rasterOf(one),
  );
  const many = await rasterOf(await photo('shelf', 5, sized), 960);
  const { frames } = look(many, { cards: [CARD] });
  await ratio(
    `A shelf on which ${frames.length} faces are found, against one tile`,
    3,
    sized(6, 1),
    async () => look(many, { cards: [CARD] }),
    async () => look(shown, { cards: [CARD] }),
  );
  const db = await studio(server, 'bench_pictures');
  await bring(db, csv(zones));
  await measureAll(db);
  const random = new Random(9);
  const labs = Array.from({ length: 40 }, (): Lab => [
    100 * random.next(),
    60 * random.next() - 30,
    60 * random.next() - 30,
  ]);
  const asked = (i: number) => ({
    lab: labs[Math.abs(i) % labs.length]!,
    byGrey: true,
    body: null,
    cone: null,
    atmosphere: null,
    surface: null,
    among: [],
    effect: '',
  });
  await ratio(
    `Colour search over ${zones} measured zones, against its SQL`,
    1.5,
    sized(30, 2),
    async (i) => nearestCells(asked(i).lab, await zonesNear(db, asked(i))),
    (i) => zonesNear(db, asked(i)),
  );
  await db.destroy();
};

/** Gives every sighting a picture, a frame and a colour. */
async function measureAll(db: Database): Promise<void> {
  const random = new Random(4);
  const rows: Row[] = await db('sighting').select('piece_id', 'firing_id', 'zone', 'face_no');
  const now = new Date();
  for (let i = 0; i < rows.length; i += 1000) {
    const some = rows.slice(i, i + 1000).map((row) => ({ row, photo: v7(), frame: v7() }));
    await db('photo').insert(
      some.map(({ row, photo: id }, k) => ({
        id,
        sha: (i + k).toString(16).padStart(64, '0'),
        width: 300,
        height: 400,
        original_name: '',
        piece_id: row.piece_id,
        firing_id: row.firing_id,
        uploaded_by: technician.id,
        created_at: now,
      })),
    );
    await db('frame').insert(
      some.map(({ row, photo: photoId, frame: id }) => ({
        id,
        photo_id: photoId,
        face_no: row.face_no,
        shape: '{}',
        guessed: true,
        method: 1,
        set_by: technician.id,
        at: now,
        current_key: `${photoId}/1`,
      })),
    );
    await db('zone_colour').insert(
      some.map(({ row, frame }) => {
        const [l, a, b] = [100 * random.next(), 60 * random.next() - 30, 60 * random.next() - 30];
        return {
          frame_id: frame,
          zone: row.zone,
          l,
          a,
          b,
          parts: JSON.stringify([{ lab: [l, a, b], share: 1 }]),
          variegation: 1,
          glare: 0,
          by_grey: true,
          method: 2,
        };
      }),
    );
  }
}
