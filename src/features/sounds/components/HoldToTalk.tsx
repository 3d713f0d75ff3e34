'use client';
import Mic from '@mui/icons-material/MicOutlined';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { useOnDevice } from '@/ui/useOnDevice';
import { lengthWords } from '../words';
import { hasMicrophone, useRecorder, type Recorded } from '../useRecorder';

/** Held for so long it is a walkie-talkie; touched for less it goes on until it is touched again. */
const HELD_MS = 500;

/** Hold to talk, or touch to begin and again to end: for gloves. */
export function HoldToTalk({
  of,
  onRecorded,
}: {
  /** What it is of, as in “K3RVT”. */
  of: string;
  onRecorded: (recorded: Recorded) => void;
}) {
  const { state, start, stop } = useRecorder(onRecorded);
  const heard = useOnDevice(hasMicrophone);
  const on = state === 'on' || state === 'asking';
  const began = useRef(0);
  const [seconds, setSeconds] = useState(0);
  useEffect(() => {
    if (state !== 'on') return;
    const from = Date.now();
    const timer = setInterval(() => setSeconds(Math.round((Date.now() - from) / 1000)), 500);
    return () => {
      clearInterval(timer);
      setSeconds(0);
    };
  }, [state]);
  if (!heard) return null;
  const press = (): void => {
    if (on) return stop();
    began.current = Date.now();
    void start();
  };
  return (
    <>
      <Button
        variant={on ? 'contained' : 'outlined'}
        color={on ? 'error' : 'primary'}
        startIcon={<Mic aria-hidden />}
        aria-pressed={on}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          press();
        }}
        onPointerUp={() => on && Date.now() - began.current > HELD_MS && stop()}
        // What a keyboard presses comes without a pointer.
        onClick={(event) => event.detail === 0 && press()}
        onContextMenu={(event) => event.preventDefault()}
        sx={{ minHeight: 60, touchAction: 'none', userSelect: 'none', WebkitTouchCallout: 'none' }}
      >
        {state === 'asking'
          ? 'Asking for the microphone …'
          : on
            ? `Recording ${lengthWords(seconds)}: touch to end`
            : `Speak of ${of}`}
      </Button>
      {typeof state === 'object' && <Typography role="alert">{state.why}</Typography>}
    </>
  );
}
