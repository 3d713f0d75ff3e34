import { Worker } from 'node:worker_threads';
import type { KeptPicture } from '../src/platform/objects';
import type { Scene } from './paint';
import type { MeasuredFrame, Framing } from './frames';

const WORKER = new URL('./paint.worker.ts', import.meta.url).href;

// Worker threads do not inherit the loader for TypeScript, so each starts it itself.
const BOOT = `import('tsx/esm/api').then(({ tsImport }) => tsImport('${WORKER}', '${WORKER}'))`;

/** A painted picture with the frames of its faces, where somebody framed it. */
export type PaintedPicture = KeptPicture & { frames: MeasuredFrame[] };

/** Paints scenes in worker threads and keeps the pictures; answers in the order of the scenes. */
export async function paintAll(
  scenes: readonly { scene: Scene; framing: Framing | null }[],
  folder: string,
  threads: number,
  progress: (done: number) => void,
): Promise<PaintedPicture[]> {
  const kept: PaintedPicture[] = new Array(scenes.length);
  let next = 0;
  let done = 0;
  await Promise.all(
    Array.from(
      { length: threads },
      () =>
        new Promise<void>((resolve, reject) => {
          const worker = new Worker(BOOT, { eval: true });
          const give = (): void => {
            if (next >= scenes.length) {
              void worker.terminate().then(() => resolve());
              return;
            }
            const index = next++;
            worker.postMessage({ index, ...scenes[index], folder });
          };
          worker.on('message', ({ index, ...picture }: PaintedPicture & { index: number }) => {
            kept[index] = picture;
            progress(++done);
            give();
          });
          worker.on('error', reject);
          give();
        }),
    ),
  );
  return kept;
}
