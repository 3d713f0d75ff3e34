'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useRouter } from 'next/navigation';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import * as contracts from '../contracts';

/** Two touches: both looks stand, or the later one put the earlier right. */
export function SettleDoubt({ observationId }: { observationId: string }) {
  const router = useRouter();
  const { act, busy, problem } = useSend();
  const settle = (corrects: boolean): void =>
    void act(contracts.settleDoubt, { observationId, corrects }).then(
      (answer) => answer.ok && router.refresh(),
    );
  return (
    <>
      <Stack direction="row" spacing={1} sx={{ mt: 0.5 }}>
        <Button variant="outlined" disabled={busy} onClick={() => settle(false)}>
          Two looks: both stand
        </Button>
        <Button variant="outlined" disabled={busy} onClick={() => settle(true)}>
          The later one put it right
        </Button>
      </Stack>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
