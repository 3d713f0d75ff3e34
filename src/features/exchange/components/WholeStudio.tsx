'use client';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { call } from '@/platform/client';
import { ProblemNote } from '@/ui/Problem';
import type { Brought } from '../whole-in';

/** The whole studio out as one file, and, while nothing is recorded here, in from one. */
export function WholeStudio({ empty }: { empty: boolean }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [brought, setBrought] = useState<Brought | null>(null);
  const bring = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return;
    setBusy(true);
    setProblem(null);
    const answer = await call<Brought>('/api/whole', {
      method: 'POST',
      headers: { 'content-type': 'application/x-tar' },
      body: file,
    });
    setBusy(false);
    if (!answer.ok) return setProblem(answer.problem.message);
    setBrought(answer.data);
    router.refresh();
  };
  return (
    <>
      <Button href="/api/whole" variant="outlined" download>
        The whole studio with its pictures
      </Button>{' '}
      {empty && (
        <Button component="label" variant="contained" disabled={busy}>
          Bring in a whole studio
          <input
            type="file"
            accept=".tar,application/x-tar"
            aria-label="A whole studio"
            hidden
            onChange={(event) => {
              void bring(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </Button>
      )}
      {busy && <LinearProgress sx={{ my: 1 }} aria-label="Bringing in" />}
      <ProblemNote>{problem}</ProblemNote>
      {brought !== null && (
        <Typography role="status" sx={{ my: 1 }}>
          {brought.studio} is here: {brought.tables.reduce((sum, { rows }) => sum + rows, 0)} rows in{' '}
          {brought.tables.length} tables and {brought.pictures} pictures, each held against its sum. People
          come without a password: give each a new one under People.
        </Typography>
      )}
    </>
  );
}
