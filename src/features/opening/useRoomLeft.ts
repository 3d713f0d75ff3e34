'use client';
import { useEffect, useState } from 'react';
import { isFull, roomLeft, roomWords } from '@/platform/device/room';

/**
 * Whether this device can keep more, said before it cannot.
 * @param kept changes whenever something more is kept here.
 */
export function useRoomLeft(kept: number): {
  words: string | null;
  /** Keeps something; what did not go through is said, and nothing that was typed is let go of. */
  trying: (work: () => Promise<void>) => Promise<boolean>;
} {
  const [soon, setSoon] = useState<string | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    let gone = false;
    void roomLeft().then((left) => gone || setSoon(roomWords(left)));
    return () => {
      gone = true;
    };
  }, [kept]);
  return {
    words: failed ?? soon,
    trying: async (work) => {
      try {
        await work();
        setFailed(null);
        return true;
      } catch (error) {
        setFailed(
          isFull(error)
            ? 'This device is full, and that was not kept. It is still on the screen: send what waits, or make room, then save it again.'
            : 'This device did not keep that. It is still on the screen: save it again.',
        );
        return false;
      }
    },
  };
}
