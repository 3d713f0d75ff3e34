import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { MAX_BYTES, folderStore, keepPicture, pictureFile } from './objects';
import { Refusal } from './refusal';

const folder = mkdtempSync(join(tmpdir(), 'jiten-pictures-'));
const store = folderStore(folder);
afterAll(() => rmSync(folder, { recursive: true }));

const plain = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#884422' } });
const why = (bytes: Buffer): Promise<string> =>
  keepPicture(store, bytes).then(
    () => 'kept',
    (error: unknown) => (error instanceof Refusal ? error.message : `not civil: ${String(error)}`),
  );

test('a picture is turned upright, its hidden data is removed, and its sizes are made', async () => {
  const bytes = await plain(1200, 800)
    .jpeg()
    .withExif({ IFD0: { Make: 'X' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
    .withMetadata({ orientation: 6 })
    .toBuffer();
  expect((await sharp(bytes).metadata()).orientation).toBe(6);
  const kept = await keepPicture(store, bytes);
  expect(kept).toMatchObject({ width: 800, height: 1200 });
  const large = await sharp((await store.read(pictureFile(kept.sha, 'large')))!).metadata();
  expect(large).toMatchObject({ width: 800, height: 1200 });
  expect(large.exif).toBeUndefined();
  expect(large.orientation).toBeUndefined();
  expect(await sharp((await store.read(pictureFile(kept.sha, 'small')))!).metadata()).toMatchObject({
    height: 320,
  });
});

test('the same picture is kept once', async () => {
  const bytes = await plain(50, 60).png().toBuffer();
  const [a, b] = [await keepPicture(store, bytes), await keepPicture(store, bytes)];
  expect(a.sha).toBe(b.sha);
  expect(readdirSync(join(folder, a.sha.slice(0, 2))).filter((name) => name.startsWith(a.sha))).toHaveLength(
    4,
  );
  expect(await store.read(pictureFile('0'.repeat(64), 'small'))).toBeNull();
});

test('what cannot be kept is refused with a reason', async () => {
  expect(await why(Buffer.from('just some text'))).toContain('not a picture');
  expect(await why(Buffer.alloc(0))).toContain('empty');
  expect(await why(Buffer.alloc(MAX_BYTES + 1))).toContain('at most 40 MB');
  const jpeg = await sharp(Buffer.from(Array.from({ length: 300 * 300 * 3 }, (_, i) => (i * 7919) % 256)), {
    raw: { width: 300, height: 300, channels: 3 },
  })
    .jpeg()
    .toBuffer();
  expect(await why(jpeg.subarray(0, jpeg.length / 2))).toContain('broken');
  const heic = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(200)]);
  expect(await why(heic)).toContain('This is a HEIC picture');
  const huge = await plain(20_000, 10_000).png({ compressionLevel: 1 }).toBuffer();
  expect(await why(huge)).toContain('200 megapixels');
}, 60_000);
