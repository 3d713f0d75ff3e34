import { createHash } from 'node:crypto';
import { mkdir, open, readFile, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import pLimit from 'p-limit';
import sharp, { type Sharp } from 'sharp';
import { readConfig } from './config';
import { refuse } from './refusal';

/** Longest edge in pixels of the sizes that are made and served. */
export const SIZES = { small: 320, medium: 960, large: 2400 } as const;
export type Size = keyof typeof SIZES;

export const MAX_BYTES = 40 * 1024 * 1024;
export const MAX_PIXELS = 60_000_000;
/** Wider than any camera's, and than what the record of it can hold. */
const MAX_EDGE = 20_000;
/** Pictures that are decoded at one time, each by one core: the rest of the studio works meanwhile. */
const AT_ONCE = 2;
const inLine = pLimit(AT_ONCE);
sharp.concurrency(1);

const FORMATS = new Set(['jpeg', 'png', 'webp', 'heif', 'tiff']);

/** Where pictures lie: by the hash of the original's content, so that one is kept once. */
export interface PictureStore {
  write(key: string, bytes: Buffer): Promise<void>;
  read(key: string): Promise<Buffer | null>;
  has(key: string): Promise<boolean>;
  remove(key: string): Promise<void>;
}

/** Keeps pictures in a folder; a file appears whole or not at all. */
export function folderStore(root: string): PictureStore {
  const path = (key: string): string => join(root, key.slice(0, 2), key);
  return {
    async write(key, bytes) {
      const target = path(key);
      await mkdir(dirname(target), { recursive: true });
      const partial = `${target}.${process.pid}.${Math.random().toString(36).slice(2)}`;
      // On the disk before anybody is told that it is kept.
      const file = await open(/* turbopackIgnore: true */ partial, 'w');
      try {
        await file.writeFile(bytes);
        await file.sync();
      } finally {
        await file.close();
      }
      await rename(partial, target);
    },
    async read(key) {
      try {
        return await readFile(path(key));
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null;
        throw error;
      }
    },
    has: (key) =>
      stat(path(key)).then(
        () => true,
        () => false,
      ),
    remove: (key) => rm(path(key), { force: true }),
  };
}

export const pictureFolder = (): string => join(readConfig().dataDirectory, 'pictures');
export const pictureStore = (): PictureStore => folderStore(pictureFolder());

/** Under which name an original lies, and a served size of it. */
export const originalFile = (sha: string): string => `${sha}.original`;
export const pictureFile = (sha: string, size: Size): string => `${sha}-${size}.webp`;

export type KeptPicture = { sha: string; width: number; height: number };

/**
 * Checks a picture, keeps its original and makes the served sizes: turned upright,
 * without location or any other hidden data. Refuses what is not a picture with a reason.
 */
export const keepPicture = (store: PictureStore, bytes: Buffer): Promise<KeptPicture> =>
  inLine(() => keep(store, bytes));

async function keep(store: PictureStore, bytes: Buffer): Promise<KeptPicture> {
  if (bytes.length === 0) throw refuse('The file is empty.');
  if (bytes.length > MAX_BYTES) {
    throw refuse(
      `The picture has ${Math.round(bytes.length / 1048576)} MB; at most ${MAX_BYTES / 1048576} MB can be kept. Send a smaller size.`,
    );
  }
  const { width, height } = await inspect(bytes);
  const sha = createHash('sha256').update(bytes).digest('hex');
  const upright = sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: 'error' }).rotate();
  try {
    const large = await resized(upright, 'large').toBuffer();
    // A picture smaller than a size is that size already.
    const smaller = (size: Size): Promise<Buffer> =>
      Math.max(width, height) <= SIZES[size]
        ? Promise.resolve(large)
        : resized(sharp(large), size).toBuffer();
    const [medium, small] = await Promise.all([smaller('medium'), smaller('small')]);
    await store.write(originalFile(sha), bytes);
    await Promise.all([
      store.write(pictureFile(sha, 'large'), large),
      store.write(pictureFile(sha, 'medium'), medium),
      store.write(pictureFile(sha, 'small'), small),
    ]);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code?.startsWith('E')) throw error;
    throw refuse('The picture is broken: it cannot be read to its end. Take or send it again.');
  }
  return { sha, width, height };
}

const resized = (picture: Sharp, size: Size): Sharp =>
  picture
    .clone()
    .resize({ width: SIZES[size], height: SIZES[size], fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 82, effort: 1 });

/** The brands of HEIC at the head of its file (ISO/IEC 23008-12); AVIF, which can be read, has others. */
const isHeic = (bytes: Buffer): boolean =>
  bytes.toString('latin1', 4, 8) === 'ftyp' &&
  /^(heic|heix|hevc|hevx|heim|heis)$/.test(bytes.toString('latin1', 8, 12));

async function inspect(bytes: Buffer): Promise<{ width: number; height: number }> {
  if (isHeic(bytes))
    throw refuse(
      'This is a HEIC picture, which cannot be read here. Set the phone’s camera to JPEG (“most compatible”), or save the picture as JPEG and send that.',
    );
  let metadata;
  try {
    metadata = await sharp(bytes, { limitInputPixels: false }).metadata();
  } catch {
    throw refuse('This file is not a picture. JPEG, PNG, WebP and TIFF can be kept.');
  }
  if (!FORMATS.has(metadata.format ?? '')) {
    throw refuse(
      `Pictures of the kind “${metadata.format ?? 'unknown'}” cannot be kept. JPEG, PNG, WebP and TIFF can.`,
    );
  }
  const { width = 0, height = 0, orientation = 1 } = metadata;
  if (width * height > MAX_PIXELS) {
    throw refuse(
      `The picture has ${Math.round((width * height) / 1e6)} megapixels; at most ${MAX_PIXELS / 1e6} can be kept. Send a smaller size.`,
    );
  }
  if (Math.max(width, height) > MAX_EDGE) {
    throw refuse(
      `The picture is ${Math.max(width, height)} pixels long; at most ${MAX_EDGE} can be kept. Send a smaller size.`,
    );
  }
  return orientation >= 5 ? { width: height, height: width } : { width, height };
}

/** A part of a kept picture as a picture of its own, from its original; fractions of it held upright. */
export async function cropPicture(
  store: PictureStore,
  sha: string,
  box: { x: number; y: number; width: number; height: number },
): Promise<KeptPicture> {
  const bytes = await store.read(originalFile(sha));
  if (bytes === null) throw refuse('The original of this picture is not there any more.');
  const upright = await sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: 'error' })
    .rotate()
    .toBuffer({ resolveWithObject: true });
  const { width, height } = upright.info;
  const left = Math.floor(box.x * width);
  const top = Math.floor(box.y * height);
  const part = {
    left,
    top,
    width: Math.max(1, Math.min(width - left, Math.round(box.width * width))),
    height: Math.max(1, Math.min(height - top, Math.round(box.height * height))),
  };
  return keepPicture(store, await sharp(upright.data).extract(part).jpeg({ quality: 95 }).toBuffer());
}

/** Takes a picture and everything made of it off the disk. */
export async function removePicture(store: PictureStore, sha: string): Promise<void> {
  const sizes = Object.keys(SIZES) as Size[];
  await Promise.all(
    [originalFile(sha), ...sizes.map((size) => pictureFile(sha, size))].map((key) => store.remove(key)),
  );
}
