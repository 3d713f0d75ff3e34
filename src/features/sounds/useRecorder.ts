'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { LONGEST_S } from './contracts';

export type RecorderState = 'off' | 'asking' | 'on' | { why: string };

/** What a browser may give: Opus first, which is small and speaks well. */
const KINDS = ['audio/webm;codecs=opus', 'audio/ogg;codecs=opus', 'audio/mp4', 'audio/webm'];
const ENDING: Record<string, string> = { 'audio/webm': 'webm', 'audio/ogg': 'ogg', 'audio/mp4': 'm4a' };

/** Why there is no sound, and what can be done; by the names that browsers give (W3C Media Capture). */
export function microphoneTrouble(name: string): string {
  if (name === 'NotAllowedError' || name === 'SecurityError')
    return 'The microphone was not allowed here. Allow it in the browser’s settings for this page, or type the note.';
  if (name === 'NotFoundError') return 'This device has no microphone that the browser finds. Type the note.';
  if (name === 'NotReadableError' || name === 'AbortError')
    return 'Another program holds the microphone. Close it, then try again.';
  return 'The recording did not start. Type the note.';
}

export const hasMicrophone = (): boolean =>
  navigator.mediaDevices?.getUserMedia !== undefined && typeof MediaRecorder !== 'undefined';

export type Recorded = { file: File; lengthS: number; startedAt: number };

/**
 * Records what is spoken from `start` to `stop`. A phone that is locked or put away ends it, and what was
 * said until then is kept.
 */
export function useRecorder(onRecorded: (recorded: Recorded) => void) {
  const [state, setState] = useState<RecorderState>('off');
  const recorder = useRef<MediaRecorder | null>(null);
  /** Somebody let go before the browser had given the microphone. */
  const stopped = useRef(false);
  const tell = useRef(onRecorded);
  useEffect(() => {
    tell.current = onRecorded;
  });
  const stop = useCallback((): void => {
    stopped.current = true;
    if (recorder.current?.state === 'recording') recorder.current.stop();
  }, []);
  const start = useCallback(async (): Promise<void> => {
    if (recorder.current !== null) return;
    stopped.current = false;
    setState('asking');
    let stream: MediaStream;
    try {
      stream = await navigator.mediaDevices.getUserMedia({
        audio: { channelCount: 1, noiseSuppression: true },
      });
    } catch (error) {
      setState({ why: microphoneTrouble((error as DOMException).name) });
      return;
    }
    const end = (): void => {
      for (const track of stream.getTracks()) track.stop();
      recorder.current = null;
      setState('off');
    };
    if (stopped.current) return end();
    const mimeType = KINDS.find((kind) => MediaRecorder.isTypeSupported(kind));
    const made = new MediaRecorder(stream, { audioBitsPerSecond: 32_000, ...(mimeType && { mimeType }) });
    recorder.current = made;
    const parts: Blob[] = [];
    const startedAt = Date.now();
    made.ondataavailable = ({ data }) => void (data.size > 0 && parts.push(data));
    made.onstop = () => {
      end();
      const lengthS = Math.round((Date.now() - startedAt) / 100) / 10;
      const type = made.mimeType.split(';')[0] ?? 'audio/webm';
      const name = `${new Date(startedAt).toISOString().slice(0, 19).replace(/:/g, '')}.${ENDING[type] ?? 'webm'}`;
      // A slip of the thumb says nothing.
      if (parts.length > 0 && lengthS >= 0.6)
        tell.current({ file: new File(parts, name, { type }), lengthS, startedAt });
    };
    made.start(1000);
    setState('on');
    setTimeout(() => made.state === 'recording' && made.stop(), LONGEST_S * 1000);
  }, []);
  useEffect(() => stop, [stop]);
  return { state, start, stop };
}
