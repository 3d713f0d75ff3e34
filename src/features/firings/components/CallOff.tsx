'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** A firing that nobody will light is called off, or that is taken back. */
export function CallOff({ firingId, calledOff }: { firingId: string; calledOff: boolean }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const go = async (): Promise<void> => {
    const answer = await act(contracts.callOff, { firingId, calledOff: !calledOff });
    if (!answer.ok) return;
    say(calledOff ? 'It is planned again' : 'Called off; its pieces wait again', answer.undo);
    router.refresh();
  };
  return (
    <>
      <Button disabled={busy} onClick={() => void go()}>
        {calledOff ? 'Plan it after all' : 'Call it off'}
      </Button>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
