'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { v7 } from 'uuid';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import * as contracts from '../contracts';

/** The answer to a kiln that climbs less than it did: somebody turned it down, and it goes into the diary. */
export function TurnedDown({ firingId, at, electric }: { firingId: string; at: Date; electric: boolean }) {
  const router = useRouter();
  const { act, busy, problem } = useSend();
  return (
    <>
      <Button
        variant="outlined"
        disabled={busy}
        sx={{ mt: 1 }}
        onClick={() =>
          void act(contracts.write, {
            firingId,
            id: v7(),
            at: at.toISOString(),
            kind: electric ? 'switch' : 'gas',
            text: 'turned down',
          }).then((answer) => answer.ok && router.refresh())
        }
      >
        It was turned down
      </Button>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
