'use client';
import { useState } from 'react';
import type { PackAnswer, PackRequest, PackWord } from '@/workers/pack.worker';

const DIED = 'The packing broke off; nothing was moved. Try again, or place the pieces by hand.';

/** Packs off the main thread: how many pieces are done with while it goes on, and what went wrong. */
export function usePacking(): {
  done: number | null;
  wrong: string | null;
  inWorker: (request: PackRequest, then: (answer: PackAnswer) => void) => void;
} {
  const [done, setDone] = useState<number | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const inWorker = (request: PackRequest, then: (answer: PackAnswer) => void): void => {
    setDone(0);
    setWrong(null);
    const worker = new Worker(new URL('../../../workers/pack.worker.ts', import.meta.url), {
      type: 'module',
    });
    const end = (): void => {
      worker.terminate();
      setDone(null);
    };
    worker.onmessage = ({ data }: MessageEvent<PackWord>) => {
      if ('done' in data) return setDone(data.done);
      end();
      then(data.answer);
    };
    worker.onerror = () => {
      end();
      setWrong(DIED);
    };
    worker.postMessage(request);
  };
  return { done, wrong, inWorker };
}
