'use client';
import { useSyncExternalStore } from 'react';

const every = 10_000;
const subscribe = (tick: () => void): (() => void) => {
  const timer = setInterval(tick, every);
  return () => clearInterval(timer);
};

/** The time to ten seconds, going on by itself; null while the page is made on the server. */
export const useNow = (): number | null =>
  useSyncExternalStore(
    subscribe,
    () => Math.floor(Date.now() / every) * every,
    () => null,
  );
