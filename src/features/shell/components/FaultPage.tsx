'use client';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { call } from '@/platform/client';
import { comeBack } from '@/platform/recover';
import { Page } from '@/ui/Page';

type Where = 'server' | 'database' | 'program';

const WORDS: Record<Where, { title: string; text: string }> = {
  server: {
    title: 'The studio’s server does not answer',
    text: 'There is no connection, or the computer it runs on is off. Nothing that was saved is lost, and what waits on this device is kept.',
  },
  database: {
    title: 'The studio’s database does not answer',
    text: 'The server runs, but cannot reach its records just now. Nothing that was saved is lost. If it stays so, a technician starts it again.',
  },
  program: {
    title: 'This page could not be made',
    text: 'Server and database answer; the fault is in the program. Nothing that was saved is lost, and other pages work. Tell a technician what you did, with the fault’s number.',
  },
};

/** Who does not answer, asked of the server itself. */
async function whereItFails(): Promise<Where> {
  const answer = await call('/api/health', {});
  if (answer.ok) return 'program';
  return answer.problem.code === 'database-away' ? 'database' : 'server';
}

/** A page that failed: says whether server, database or program is at fault, and quotes its number. */
export function FaultPage({ error }: { error: Error & { digest?: string } }) {
  const [where, setWhere] = useState<Where | null>(null);
  useEffect(() => void whereItFails().then(setWhere), []);
  useEffect(() => comeBack(), []);
  const { title, text } = where === null ? { title: 'One moment', text: '' } : WORDS[where];
  return (
    <Page title={title}>
      <Typography role="status" sx={{ maxWidth: 640, mb: 1 }}>
        {text}
      </Typography>
      {error.digest && <Typography color="text.secondary">Fault {error.digest}</Typography>}
      <Button variant="contained" onClick={() => window.location.reload()} sx={{ mt: 2 }}>
        Try again
      </Button>
    </Page>
  );
}
