import { Worker } from 'node:worker_threads';
import type { KeptPicture } from '../src/platform/objects';
import type { Scene } from './paint';
import type { MeasuredFrame, Framing } from './frames';

const WORKER = new URL('./paint.worker.ts', import.meta.url).href;

// Worker threads do not inherit the loader for TypeScript, so each starts it itself.
const BOOT = `import('tsx/esm/api').then(({ tsImport }) => tsImport('${WORKER}', '${WORKER}'))`;

/** A painted picture with the frames of its faces, where somebody framed it. */
export type PaintedPicture = KeptPicture & { frames: MeasuredFrame[] };

export type ToPaint = { scene: Scene; framing: Framing | null };

/**
 * Paints scenes in worker threads and keeps the pictures; hands each over by its place in the list, as it is
 * done. Ends early when it is told to.
 */
export async function paintAll(
  scenes: readonly ToPaint[],
  folder: string,
  threads: number,
  painted: (picture: PaintedPicture, index: number) => void,
  signal?: AbortSignal,
): Promise<void> {
  let next = 0;
  await Promise.all(
    Array.from(
      { length: Math.min(threads, scenes.length) },
      () =>
        new Promise<void>((resolve, reject) => {
          const worker = new Worker(BOOT, { eval: true });
          const give = (): void => {
            if (next >= scenes.length || signal?.aborted === true) {
              void worker.terminate().then(() => resolve());
              return;
            }
            const index = next++;
            worker.postMessage({ index, ...scenes[index], folder });
          };
          worker.on('message', ({ index, ...picture }: PaintedPicture & { index: number }) => {
            painted(picture, index);
            give();
          });
          worker.on('error', reject);
          give();
        }),
    ),
  );
}
