'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { takeCell } from '../contracts';

/** Makes the stack of a cell the studio’s control. */
export function TakeAsControl({ cellId }: { cellId: string }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const take = async (): Promise<void> => {
    const answer = await act(takeCell, { cellId });
    if (!answer.ok) return;
    say('This is the studio’s control now; each kiln’s page shows how it comes out', answer.undo);
    router.refresh();
  };
  return (
    <>
      <Button size="small" disabled={busy} onClick={() => void take()}>
        Make it the control
      </Button>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
