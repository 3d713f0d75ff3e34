'use client';
import { v7 } from 'uuid';
import { studioNow } from '@/platform/device/clock';
import { useSender } from '@/platform/sender/host';
import type { ToKeep } from '@/platform/sender/sender';
import { bin, speak } from './contracts';
import type { Recorded } from './useRecorder';

/** Of what a spoken note is. */
export type Of = { pieceId: string | null; firingId: string | null; label: string; about: string };

/** A spoken note as the sender keeps it: it can be taken back before it is sent, and after. */
export function speaking(of: Of, lengthS: number | null, startedAt: number): Omit<ToKeep, 'file'> {
  const soundId = v7();
  const { pieceId, firingId, label, about } = of;
  const spokenAt = new Date(startedAt + studioNow() - Date.now()).toISOString();
  return {
    id: v7(),
    name: speak.name,
    input: { soundId, pieceId, firingId, lengthS, spokenAt },
    label: `Spoken of ${label}`,
    about,
    back: { name: bin.name, input: { soundId, binned: true } },
  };
}

/** Keeps what was spoken on the device and sends it; what comes back takes it back. */
export function useSpeak(): (of: Of, recorded: Recorded) => Promise<() => void> {
  const { sender } = useSender();
  return async (of, { file, lengthS, startedAt }) => {
    const act = speaking(of, lengthS, startedAt);
    await sender?.add({ ...act, file });
    return () => void sender?.takeBack(act.id);
  };
}
