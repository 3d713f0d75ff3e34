'use client';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import { complaintOf } from '@/core/diagnosis';
import { useSender } from '@/platform/sender/host';
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
  const { sender } = useSender();
  const [kept, setKept] = useState(false);
  const [id] = useState(() => v7());
  if (open !== null)
    return (
      <Button component={Link} href={`/clinic/cases/${open}`} size="small" variant="outlined">
        Its case in the clinic
      </Button>
    );
  const ask = async (): Promise<void> => {
    // A colour that is off says not which: that is asked on the sheet.
    const complaints = signs.filter((sign) => complaintOf(sign) !== undefined).slice(0, 4);
    const of = { pieceId, firingId, complaints };
    const answer = await act(contracts.open, { id, ...of }, id);
    if (answer.ok) router.push(`/clinic/cases/${answer.data.id}`);
    else if (answer.problem.code === 'offline' && sender !== null) {
      const input = { id, ...of };
      await sender.add({ id, name: contracts.open.name, input, label: 'Why?', about: 'clinic' });
      setKept(true);
    }
  };
  if (kept)
    return (
      <Typography variant="body2" role="status">
        “Why?” is kept on this device, and asked when the server can be reached.
      </Typography>
    );
  return (
    <>
      <Button size="small" variant="outlined" disabled={busy} onClick={() => void ask()}>
        Why?
      </Button>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
