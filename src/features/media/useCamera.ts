'use client';
import { useCallback, useEffect, useRef, useState } from 'react';

export type CameraState = 'off' | 'asking' | 'on' | { why: string };

/** As sharp as the camera gives it, up to what a tile needs. */
const WANTED: MediaStreamConstraints = {
  audio: false,
  video: { facingMode: { ideal: 'environment' }, width: { ideal: 3264 }, height: { ideal: 2448 } },
};

/** Why there is no picture, and what can be done; by the names that browsers give (W3C Media Capture). */
export function cameraTrouble(name: string): string {
  if (name === 'NotAllowedError' || name === 'SecurityError')
    return 'The camera was not allowed here. Allow it in the browser’s settings for this page, or choose pictures below.';
  if (name === 'NotFoundError' || name === 'OverconstrainedError')
    return 'This device has no camera that the browser finds. Choose pictures below.';
  if (name === 'NotReadableError' || name === 'AbortError')
    return 'Another program holds the camera. Close it, then switch the camera on again.';
  return 'The camera did not start. Choose pictures below.';
}

export const hasCamera = (): boolean => navigator.mediaDevices?.getUserMedia !== undefined;

/** A camera's stream in a video element, and a screen that stays awake while it runs. */
export function useCamera() {
  const video = useRef<HTMLVideoElement>(null);
  const stream = useRef<MediaStream | null>(null);
  const lock = useRef<WakeLockSentinel | null>(null);
  const [state, setState] = useState<CameraState>('off');
  const stop = useCallback((): void => {
    for (const track of stream.current?.getTracks() ?? []) track.stop();
    stream.current = null;
    void lock.current?.release();
    lock.current = null;
    setState('off');
  }, []);
  const start = useCallback(async (): Promise<void> => {
    setState('asking');
    try {
      stream.current = await navigator.mediaDevices.getUserMedia(WANTED);
      // A phone takes the camera away when it is locked, or another program wants it.
      for (const track of stream.current.getTracks()) track.addEventListener('ended', stop);
      if (video.current !== null) video.current.srcObject = stream.current;
      setState('on');
      lock.current = await navigator.wakeLock?.request('screen').catch(() => null);
    } catch (error) {
      setState({ why: cameraTrouble((error as DOMException).name) });
    }
  }, [stop]);
  useEffect(() => stop, [stop]);
  return { video, state, start, stop };
}
