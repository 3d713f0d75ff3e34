/** @jest-environment node */
import sharp from 'sharp';
import { rasterOf, widthOf } from './raster';

const left = { create: { width: 60, height: 40, channels: 3 as const, background: '#ff0000' } };

test('a picture that was taken upright on its side is turned before it is looked at', async () => {
  const lying = await sharp(left).jpeg().withMetadata({ orientation: 6 }).toBuffer();
  const raster = await rasterOf(lying);
  expect([raster.width, raster.height]).toEqual([40, 60]);
  expect(await widthOf(lying)).toBe(40);
});

test('it is reduced, never enlarged, and what is transparent is white', async () => {
  const clear = await sharp({
    create: { width: 300, height: 100, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
  })
    .png()
    .toBuffer();
  const small = await rasterOf(clear, 150);
  expect([small.width, small.height, small.channels]).toEqual([150, 50, 3]);
  expect([...small.data.slice(0, 3)]).toEqual([255, 255, 255]);
  expect((await rasterOf(clear)).width).toBe(300);
});

test('what is no picture is an error', async () => {
  await expect(rasterOf(Buffer.from('no picture'))).rejects.toThrow();
});
