'use client';
import CropFree from '@mui/icons-material/CropFree';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { call } from '@/platform/client';
import { ProblemNote } from '@/ui/Problem';
import type { ToFrame } from '../of-piece';

const FrameDialog = dynamic(() => import('./FrameDialog').then((one) => one.FrameDialog), {
  ssr: false,
});

/** The way to the frame of a picture that the studio has, wherever its piece is in hand. Nobody has to. */
export function FrameHere({
  pieceId,
  sha,
  onDone,
}: {
  pieceId: string;
  sha: string;
  /** The dialog was closed: there may be a frame now. */
  onDone: () => void;
}) {
  const [at, setAt] = useState<(ToFrame & { card: number[] | null }) | null>(null);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const open = async (): Promise<void> => {
    setBusy(true);
    setProblem(null);
    const answer = await call<NonNullable<typeof at>>(
      `/api/frame?${new URLSearchParams({ piece: pieceId, sha })}`,
      {},
    );
    setBusy(false);
    if (answer.ok) setAt(answer.data);
    else setProblem(answer.problem.message);
  };
  return (
    <>
      <Button size="small" startIcon={<CropFree aria-hidden />} disabled={busy} onClick={() => void open()}>
        Frame it
      </Button>
      <ProblemNote>{problem}</ProblemNote>
      {at !== null && (
        <FrameDialog
          {...at}
          onClose={() => {
            setAt(null);
            onDone();
          }}
        />
      )}
    </>
  );
}
