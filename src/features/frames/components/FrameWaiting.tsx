'use client';
import CropFree from '@mui/icons-material/CropFree';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Card } from '@/core/sight';
import { ProblemNote } from '@/ui/Problem';
import type { FaceZones } from '../of-piece';
// Not loaded when it is asked for, as elsewhere: where a picture waits there may be no network.
import { FrameDialog, type Accepted } from './FrameDialog';

/** How large a picture on this device is, held upright. Errors: what cannot be shown. */
const sizeOf = (url: string): Promise<{ width: number; height: number }> =>
  new Promise((resolve, reject) => {
    const image = new Image();
    image.onload = () => resolve({ width: image.naturalWidth, height: image.naturalHeight });
    image.onerror = () =>
      reject(new Error('This picture cannot be shown here: it is framed once it is sent.'));
    image.src = url;
  });

/**
 * The way to the frame of a picture that waits on this device: kept beside it, and measured when both are
 * sent.
 */
export function FrameWaiting({
  url,
  code,
  faces,
  card,
  framed,
  onFrame,
}: {
  url: string;
  code: string;
  faces: readonly FaceZones[];
  card: Card | null;
  /** It was said already, and waits too. */
  framed: boolean;
  onFrame: (accepted: Accepted) => void;
}) {
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const open = (): void => {
    setProblem(null);
    sizeOf(url).then(setSize, (error: Error) => setProblem(error.message));
  };
  return (
    <>
      {framed ? (
        <Typography variant="body2">Framed; it is measured when it is sent.</Typography>
      ) : (
        <Button size="small" startIcon={<CropFree aria-hidden />} onClick={open}>
          Frame it
        </Button>
      )}
      <ProblemNote>{problem}</ProblemNote>
      {size !== null && (
        <FrameDialog
          photo={{ id: '', sha: '', ...size, frames: [], grey: null, colours: [] }}
          src={url}
          code={code}
          faces={faces}
          card={card}
          onAccept={(accepted) => {
            setSize(null);
            onFrame(accepted);
          }}
          onClose={() => setSize(null)}
        />
      )}
    </>
  );
}
