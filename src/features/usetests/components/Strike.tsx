'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** Strikes a test that was written down wrongly; it can be taken back. */
export function Strike({ id }: { id: string }) {
  const { act, busy, problem } = useSend();
  const say = useSay();
  const router = useRouter();
  const drop = async (dropped: boolean): Promise<void> => {
    const answer = await act(contracts.drop, { id, dropped });
    if (!answer.ok) return;
    router.refresh();
    say(dropped ? 'The test is struck' : 'It stands again', dropped ? () => void drop(false) : undefined);
  };
  return (
    <>
      <Button size="small" disabled={busy} onClick={() => void drop(true)}>
        Strike it
      </Button>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
