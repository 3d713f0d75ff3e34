/** Stands in for the worker that looks at pictures, and for what a browser does with the pixels of one. */
import { jest } from '@jest/globals';
import type { LookAnswer, LookRequest } from '../src/workers/look.worker';

type Asked = Omit<LookRequest, 'pixels'>;

const UNSEEN = { frames: [], why: 'nothing' as const, grey: { found: null, why: 'none' as const } };

/** What the worker answers, with what it was asked; nothing is found unless `answer` says so. */
export function lookerSees(answer: (asked: Asked) => Partial<LookAnswer>): Asked[] {
  const asked: Asked[] = [];
  class Looker {
    onmessage: ((event: { data: LookAnswer }) => void) | null = null;
    onerror: (() => void) | null = null;
    postMessage(request: Asked): void {
      asked.push(request);
      const found = { seen: UNSEEN, board: null, tiles: [], ...answer(request), id: request.id };
      queueMicrotask(() => this.onmessage?.({ data: found as LookAnswer }));
    }
  }
  Object.assign(globalThis, { Worker: Looker });
  return asked;
}

/** Any file is a picture of these pixels, four numbers each; one that cannot be opened is said by `opens`. */
export function picturesAre(
  { width, height, data }: { width: number; height: number; data?: Uint8ClampedArray },
  opens: () => boolean = () => true,
): void {
  Object.assign(globalThis, {
    createImageBitmap: async () => {
      if (!opens()) throw new Error('no picture');
      return { width, height, close: () => {} };
    },
  });
  URL.createObjectURL = () => 'blob:here';
  URL.revokeObjectURL = () => {};
  HTMLCanvasElement.prototype.getContext = jest.fn(() => ({
    drawImage: () => {},
    createImageData: (w: number, h: number) => ({ data: new Uint8ClampedArray(4 * w * h) }),
    putImageData: () => {},
    getImageData: () => ({ data: data ?? new Uint8ClampedArray(4 * width * height), width, height }),
  })) as never;
}
