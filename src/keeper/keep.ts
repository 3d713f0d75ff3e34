/** Keeps one thing running: begins it again when it ends by itself, and gives up when that is no use. */
import { setTimeout as wait } from 'node:timers/promises';
import { MOST_RESTARTS, Restarts } from './restarts';

/** Something that runs: when it ended, and how it is ended. */
export type Running = { ended: Promise<void>; stop(): Promise<void> };

export type Kept<T extends Running> = {
  /** What runs now. */
  now(): T;
  /** Ends it, does what has to be done meanwhile, and begins it anew. */
  renew(meanwhile?: () => Promise<void>): Promise<void>;
  stop(): Promise<void>;
};

export type KeepWords = {
  name: string;
  /** A word about a fall, and the moment of it. */
  fell: (word: string) => void;
  /** It fell too often, or could not be begun again. */
  gaveUp: (word: string) => void;
};

/** Begins something and keeps it. Errors: whatever its first beginning throws. */
export async function keep<T extends Running>(
  begin: () => Promise<T>,
  { name, fell, gaveUp }: KeepWords,
): Promise<Kept<T>> {
  const restarts = new Restarts();
  let current = await begin();
  let wanted = true;
  let renewing: Promise<void> | null = null;

  const watch = (one: T): void => {
    void one.ended.then(async () => {
      if (!wanted || one !== current || renewing !== null) return;
      for (;;) {
        if (!restarts.again(Date.now()))
          return gaveUp(
            `The ${name} ended more than ${MOST_RESTARTS} times in a minute; nothing more is tried.`,
          );
        fell(`The ${name} ended by itself and is started again.`);
        await wait(200);
        if (!wanted) return;
        try {
          current = await begin();
          // It was told to end while it was beginning.
          if (!wanted) return await current.stop();
          return watch(current);
        } catch (error) {
          fell(error instanceof Error ? error.message : String(error));
        }
      }
    });
  };
  watch(current);
  return {
    now: () => current,
    async renew(meanwhile = () => Promise.resolve()) {
      renewing = (async () => {
        await current.stop();
        try {
          await meanwhile();
        } finally {
          current = await begin();
          watch(current);
        }
      })();
      try {
        await renewing;
      } finally {
        renewing = null;
      }
    },
    async stop() {
      wanted = false;
      await current.stop();
    },
  };
}
