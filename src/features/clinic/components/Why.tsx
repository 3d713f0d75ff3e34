'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { complaintOf } from '@/core/diagnosis';
import { useSend } from '@/platform/useSend';
import Link from '@/ui/Link';
import { ProblemNote } from '@/ui/Problem';
import * as contracts from '../contracts';

/** From a fault that was seen to the sheet of its causes: one touch. A case that is open is gone on with. */
export function Why({
  pieceId,
  firingId,
  signs,
  open,
}: {
  pieceId: string;
  firingId: string;
  /** Signs that nobody wanted. */
  signs: readonly string[];
  /** The case that is open already. */
  open: string | null;
}) {
  const { act, busy, problem } = useSend();
  const router = useRouter();
  if (open !== null)
    return (
      <Button component={Link} href={`/clinic/cases/${open}`} size="small" variant="outlined">
        Its case in the clinic
      </Button>
    );
  const ask = async (): Promise<void> => {
    // A colour that is off says not which: that is asked on the sheet.
    const complaints = signs.filter((sign) => complaintOf(sign) !== undefined).slice(0, 4);
    const answer = await act(contracts.open, { pieceId, firingId, complaints });
    if (answer.ok) router.push(`/clinic/cases/${answer.data.id}`);
  };
  return (
    <>
      <Button size="small" variant="outlined" disabled={busy} onClick={() => void ask()}>
        Why?
      </Button>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
