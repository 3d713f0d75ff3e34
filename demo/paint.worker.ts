import { parentPort } from 'node:worker_threads';
import sharp from 'sharp';
import { folderStore, keepPicture } from '../src/platform/objects';
import { HEIGHT, WIDTH, paint, type Scene } from './paint';

sharp.concurrency(1);

type Job = { index: number; scene: Scene; folder: string };

parentPort?.on('message', (job: Job) => {
  void (async () => {
    const pixels = paint(job.scene);
    const jpeg = await sharp(pixels, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
      .jpeg({ quality: 88 })
      .toBuffer();
    const kept = await keepPicture(folderStore(job.folder), jpeg);
    parentPort?.postMessage({ index: job.index, ...kept });
  })();
});
