'use client';
import PhotoCamera from '@mui/icons-material/PhotoCameraOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useEffectEvent, useState, type ReactNode } from 'react';
import { useKeys } from '@/ui/useKeys';
import { useOnDevice } from '@/ui/useOnDevice';
import { labelInView } from '../labels';
import { shoot } from '../shoot';
import { hasCamera, useCamera } from '../useCamera';

/** How often the camera's view is looked through for a label. */
const LOOK_MS = 800;

/**
 * The camera in the page: each shot goes to whatever is in hand. Space, Enter or the large button take it.
 * Where there is none, or it is not allowed, it says so and stands in nobody's way.
 */
export function Camera({
  of,
  onShot,
  onRunning,
  onLabel,
  beside = null,
}: {
  /** What the next picture is of, as in “K3RVT”. */
  of: string;
  onShot: (file: File, thumb: Blob) => void;
  /** Told when the camera goes on and off: what stands beside it can make room. */
  onRunning?: (on: boolean) => void;
  /** Told what stands on a label that comes into view, once as long as it stays there. */
  onLabel?: (text: string) => void;
  /** What stands beside its button. */
  beside?: ReactNode;
}) {
  const { video, state, start, stop } = useCamera();
  const sees = useOnDevice(hasCamera);
  const [flash, setFlash] = useState(0);
  const on = state === 'on';
  const tellRunning = useEffectEvent((now: boolean): void => onRunning?.(now));
  useEffect(() => tellRunning(on), [on]);
  const tellLabel = useEffectEvent((text: string): void => onLabel?.(text));
  useEffect(() => {
    if (!on) return;
    let seen: string | null = null;
    let busy = false;
    const timer = setInterval(() => {
      if (busy || video.current === null || document.hidden) return;
      busy = true;
      void labelInView(video.current).then((text) => {
        busy = false;
        if (text !== null && text !== seen) tellLabel(text);
        seen = text;
      });
    }, LOOK_MS);
    return () => clearInterval(timer);
  }, [on, video]);
  const take = async (): Promise<void> => {
    if (video.current === null || !on) return;
    const { file, thumb } = await shoot(video.current, new Date());
    setFlash((n) => n + 1);
    onShot(file, thumb);
  };
  useKeys((key, { ctrlKey, target }) => {
    // On a button these keys press the button.
    const busy = !on || ctrlKey || (target as HTMLElement).closest('button, a, [role=button]');
    if (busy || (key !== ' ' && key !== 'Enter')) return false;
    void take();
    return true;
  });
  if (!sees)
    return (
      <>
        {beside}
        <Typography variant="body2" color="text.secondary">
          At this address the browser gives pages neither camera nor microphone; under TLS it does (./start
          --lan).
        </Typography>
      </>
    );
  return (
    <Box sx={{ mb: 1 }}>
      <Box sx={{ display: on ? 'block' : 'none', position: 'relative', bgcolor: 'booth.ground' }}>
        <video
          ref={video}
          autoPlay
          muted
          playsInline
          aria-label="What the camera sees"
          style={{
            width: '100%',
            maxHeight: 'min(340px, 30dvh)',
            objectFit: 'contain',
            display: 'block',
          }}
        />
        {flash > 0 && (
          <Box
            key={flash}
            aria-hidden
            sx={{
              position: 'absolute',
              inset: 0,
              bgcolor: '#fff',
              opacity: 0,
              pointerEvents: 'none',
              animation: 'taken 250ms ease-out',
              '@keyframes taken': { from: { opacity: 0.7 }, to: { opacity: 0 } },
            }}
          />
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: on ? 1 : 0 }}>
        {on ? (
          <>
            <Button
              variant="contained"
              startIcon={<PhotoCamera aria-hidden />}
              onClick={() => void take()}
              sx={{ flex: 1, minHeight: 60, fontSize: '1.1rem' }}
            >
              Take {of}
            </Button>
            <Button onClick={stop} sx={{ minHeight: 60 }}>
              Camera off
            </Button>
          </>
        ) : (
          <Button
            variant="outlined"
            startIcon={<PhotoCamera aria-hidden />}
            disabled={state === 'asking'}
            onClick={() => void start()}
            sx={{ flex: 1, minHeight: 60 }}
          >
            {state === 'asking' ? 'Asking for the camera …' : 'Camera on'}
          </Button>
        )}
        {beside}
      </Box>
      {typeof state === 'object' && <Typography role="alert">{state.why}</Typography>}
    </Box>
  );
}
