/**
 * The demo's pictures: painted after its records are there, in portions, while the studio is open already. What
 * was cut off goes on at the next start.
 */
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { refreshCells } from '../src/data/cells';
import { transact, type Database } from '../src/data/database';
import { listPeople } from '../src/data/people';
import { createPhotos } from '../src/data/photos';
import { PAINTING, type Painting } from '../src/platform/painting';
import { keepFrames } from './frames';
import { demoHistory } from './history';
import { paintAll, type PaintedPicture } from './paint-all';
import { Random } from './random';

/** The newest pictures: those of their firings have no frames yet. */
const UNFRAMED = 12;
/** So many are put on record together. */
const PORTION = 40;

/** Always the same, so that it is known which are there. */
const idOf = (no: number, now: Date): string => new Random(90_000 + no).id(now);

/** Says that the pictures of a demo of that moment are to be painted. */
export function announcePictures(dataDirectory: string, now: Date): void {
  const painting: Painting = { now: now.toISOString(), done: 0, all: 0 };
  writeFileSync(join(dataDirectory, PAINTING), JSON.stringify(painting));
}

/** Are there pictures still to be painted? */
export const picturesWait = (dataDirectory: string): boolean => existsSync(join(dataDirectory, PAINTING));

/**
 * Paints what was announced and is not there yet; answers with how many pictures there are then. Errors: what
 * the disk or the database says; what was put on record stays, and the next call goes on.
 */
export async function paintDemo(
  db: Database,
  dataDirectory: string,
  options: { progress?: (said: string) => void; signal?: AbortSignal; threads?: number } = {},
): Promise<number> {
  const file = join(dataDirectory, PAINTING);
  const now = new Date((JSON.parse(readFileSync(file, 'utf8')) as Painting).now);
  const { scenes } = demoHistory(now);
  const unframed = new Set(scenes.slice(-UNFRAMED).map(({ firingId }) => firingId));
  const there = new Set((await db('photo').pluck('id')) as string[]);
  const missing = scenes
    .map((one, i) => ({ ...one, no: i + 1 }))
    .filter(({ no }) => !there.has(idOf(no, now)));
  const technician = (await listPeople(db)).find(({ role }) => role === 'technician')!;
  let done = scenes.length - missing.length;
  const say = (): void => {
    writeFileSync(file, JSON.stringify({ now: now.toISOString(), done, all: scenes.length }));
    options.progress?.(`painting pictures: ${done} of ${scenes.length}`);
  };
  say();

  /** Puts pictures on record, and what the chart shows of their cells. */
  const keep = (portion: readonly { picture: PaintedPicture; index: number }[]): Promise<void> =>
    transact(db, async (trx) => {
      const photos = portion.map(({ picture, index }) => {
        const { no, pieceId, firingId } = missing[index]!;
        return { id: idOf(no, now), no, pieceId, firingId, picture };
      });
      await createPhotos(
        trx,
        photos.map(({ id, no, pieceId, firingId, picture: { sha, width, height } }) => ({
          id,
          sha,
          width,
          height,
          pieceId,
          firingId,
          originalName: `tile-${no}.jpg`,
        })),
        technician.id,
        now,
      );
      // Framed now, not when the demo was made: what frames say together is made again by their time.
      const framed = new Date();
      for (const { id, picture } of photos) await keepFrames(trx, id, picture.frames, technician.id, framed);
      await refreshCells(
        trx,
        photos.map(({ pieceId, firingId }) => ({ pieceId, firingId })),
      );
    });

  let portion: { picture: PaintedPicture; index: number }[] = [];
  let kept: Promise<unknown> = Promise.resolve();
  const flush = (): void => {
    const full = portion;
    portion = [];
    if (full.length === 0) return;
    kept = kept.then(async () => {
      await keep(full);
      done += full.length;
      say();
    });
    // Told where it is waited for.
    kept.catch(() => undefined);
  };
  await paintAll(
    missing.map(({ scene, framing, firingId }) => ({
      scene,
      framing: unframed.has(firingId) ? null : framing,
    })),
    join(dataDirectory, 'pictures'),
    options.threads ?? Math.min(4, availableParallelism()),
    (picture, index) => {
      portion.push({ picture, index });
      if (portion.length >= PORTION) flush();
    },
    options.signal,
  );
  flush();
  await kept;
  if (done === scenes.length) rmSync(file, { force: true });
  return done;
}
