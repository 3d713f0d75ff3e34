'use client';
import { useCallback, useEffect, useEffectEvent, useRef, useState } from 'react';
import { call } from '@/platform/client';
import type { RoomPiece } from './room';

const EVERY_MS = 4000;

/** A load as the server made it: when, by its clock, ms, and the word for all that was said by then. */
export type Made = { pieces: RoomPiece[]; at: number; mark: string };

/**
 * The load with what others say of it meanwhile: asked for every few seconds while the page is looked at, and
 * read anew where it changed. It is read as data, not as a page: a server that goes away in the middle takes
 * nothing from under a hand that is writing. What is being said here stays as it is.
 */
export function useOthers(firingId: string, page: Made): { made: Made; look: () => Promise<void> } {
  const [read, setRead] = useState<Made | null>(null);
  // A page that was made anew may know more than what was read before it.
  const made = read !== null && read.at > page.at ? read : page;
  const busy = useRef(false);
  const { mark } = made;
  const look = useCallback(async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    const word = await call<{ mark: string }>(`/api/opening/${firingId}`, {});
    if (word.ok && word.data.mark !== mark) {
      const answer = await call<Made>(`/api/opening/${firingId}/load`, {});
      if (answer.ok) setRead(answer.data);
    }
    busy.current = false;
  }, [firingId, mark]);
  const ask = useEffectEvent((): void => {
    if (document.visibilityState === 'visible') void look();
  });
  useEffect(() => {
    const timer = setInterval(() => ask(), EVERY_MS);
    return () => clearInterval(timer);
  }, []);
  return { made, look };
}
