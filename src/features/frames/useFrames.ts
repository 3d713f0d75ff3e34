'use client';
import { useCallback, useEffect, useState } from 'react';
import { colourWords } from '@/core/colour';
import { call } from '@/platform/client';
import type { FramedPhoto, ToFrame } from './of-piece';

/**
 * What is framed and measured in a picture that the studio has; null while it is unknown, or without a
 * network.
 */
export function useFrames(
  pieceId: string,
  sha: string | null,
): { photo: FramedPhoto | null; again: () => void } {
  const [held, setHeld] = useState<FramedPhoto | null>(null);
  const [times, setTimes] = useState(0);
  useEffect(() => {
    if (sha === null) return;
    let gone = false;
    void call<ToFrame>(`/api/frame?${new URLSearchParams({ piece: pieceId, sha })}`, {}).then((answer) => {
      if (!gone && answer.ok) setHeld(answer.data.photo);
    });
    return () => {
      gone = true;
    };
  }, [pieceId, sha, times]);
  const again = useCallback(() => setTimes((n) => n + 1), []);
  return { photo: held?.sha === sha ? held : null, again };
}

/**
 * Words for the colours that a grey told, of one zone by its key or of all of a picture, the largest first.
 */
export const measuredWords = (photo: FramedPhoto | null, zone: string | null): string[] => [
  ...new Set(
    (photo?.colours ?? [])
      .filter((one) => one.byGrey && (zone === null || one.zone === zone))
      .flatMap(({ parts }) => colourWords(parts).split(', ')),
  ),
];
