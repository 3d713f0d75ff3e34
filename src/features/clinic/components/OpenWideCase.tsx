'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { complaintsOf } from '@/core/diagnosis';
import { useSend } from '@/platform/useSend';
import Link from '@/ui/Link';
import { ProblemNote } from '@/ui/Problem';
import * as contracts from '../contracts';

export type WideSubject = { kind: 'coating' | 'bucket' | 'body' | 'firing'; id: string };

/**
 * Asks the clinic of everything with a coating, from a bucket or on a body: of a fault that was seen, or of
 * another.
 */
export function OpenWideCase({
  of,
  seen,
  open,
}: {
  of: WideSubject;
  /** Faults that were seen, most first, with how often. */
  seen: readonly { sign: string; name: string; times: number }[];
  open: readonly { id: string; no: number }[];
}) {
  const { act, busy, problem } = useSend();
  const router = useRouter();
  const ask = async (sign: string): Promise<void> => {
    // Where a sign may be several complaints, the sheet asks which.
    const which = complaintsOf(sign);
    const complaints = which.length === 1 ? [which[0]!.id] : [];
    const answer = await act(contracts.open, { [`${of.kind}Id`]: of.id, complaints });
    if (answer.ok) router.push(`/clinic/cases/${answer.data.id}`);
  };
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {open.map(({ id, no }) => (
          <Button key={id} component={Link} href={`/clinic/cases/${id}`} variant="contained">
            Case {no}
          </Button>
        ))}
        {seen.map(({ sign, name, times }) => (
          <Button key={sign} variant="outlined" disabled={busy} onClick={() => void ask(sign)}>
            Why {name.toLowerCase()}? ({times})
          </Button>
        ))}
        <Button component={Link} href={`/clinic?${of.kind}=${of.id}`} variant="outlined">
          Something else is wrong …
        </Button>
      </Box>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
