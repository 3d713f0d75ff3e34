'use client';
import { useEffect, useState } from 'react';
import type { FramedHere } from '@/core/looks';
import { call } from '@/platform/client';
import type { ToFrame } from './of-piece';

const NONE: readonly FramedHere[] = [];

/** The frames of a picture that the studio has, for who touches it; none while they are unknown, or without a network. */
export function useFrames(pieceId: string, sha: string | null): readonly FramedHere[] {
  const [held, setHeld] = useState<{ sha: string; of: FramedHere } | null>(null);
  useEffect(() => {
    if (sha === null) return;
    let gone = false;
    void call<ToFrame>(`/api/frame?${new URLSearchParams({ piece: pieceId, sha })}`, {}).then(
      (answer) => {
        if (!gone && answer.ok) setHeld({ sha, of: answer.data.photo });
      },
    );
    return () => {
      gone = true;
    };
  }, [pieceId, sha]);
  return held !== null && held.sha === sha ? [held.of] : NONE;
}
