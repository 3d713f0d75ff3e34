'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import * as contracts from '../contracts';

/** Asks the clinic of a whole firing. */
export function OpenFiringCase({
  firingId,
  complaints,
}: {
  firingId: string;
  complaints: readonly string[];
}) {
  const { act, busy, problem } = useSend();
  const router = useRouter();
  const ask = async (): Promise<void> => {
    const answer = await act(contracts.open, { firingId, complaints: [...complaints] });
    if (answer.ok) router.push(`/clinic/cases/${answer.data.id}`);
  };
  return (
    <>
      <Button variant="outlined" disabled={busy} onClick={() => void ask()}>
        Why the whole load?
      </Button>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
