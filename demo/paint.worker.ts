import { parentPort } from 'node:worker_threads';
import sharp from 'sharp';
import { folderStore, keepPicture } from '../src/platform/objects';
import { framesIn, type Framing } from './frames';
import { HEIGHT, WIDTH, paint, type Scene } from './paint';

sharp.concurrency(1);

type Job = { index: number; scene: Scene; framing: Framing | null; folder: string };

parentPort?.on('message', (job: Job) => {
  void (async () => {
    const pixels = paint(job.scene);
    const jpeg = await sharp(pixels, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
      .jpeg({ quality: 88 })
      .toBuffer();
    const kept = await keepPicture(folderStore(job.folder), jpeg);
    const frames = job.framing === null ? [] : framesIn(pixels, job.framing);
    parentPort?.postMessage({ index: job.index, ...kept, frames });
  })();
});
