'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type FormEvent } from 'react';
import { call } from '@/platform/client';
import { Form } from '@/ui/Form';

/** Asks for the password without leaving the page, so that nothing typed is lost. */
export function SignInAgain({ login, onAnswer }: { login: string; onAnswer: (signedIn: boolean) => void }) {
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const answer = await call('/api/door/sign-in', {
      method: 'POST',
      body: JSON.stringify({ login, password }),
    });
    if (answer.ok) onAnswer(true);
    else setProblem(answer.problem.message);
  };
  return (
    <Dialog open onClose={() => onAnswer(false)} aria-labelledby="sign-in-again">
      <Form onSubmit={(event) => void submit(event)}>
        <DialogTitle id="sign-in-again">Sign in again</DialogTitle>
        <DialogContent>
          <Typography sx={{ mb: 2 }}>
            Your session has ended. What you were doing is still here and goes on once you have signed in as{' '}
            {login}.
          </Typography>
          <TextField
            autoFocus
            type="password"
            label="Password"
            autoComplete="current-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
            error={problem !== null}
            helperText={problem}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={() => onAnswer(false)}>Not now</Button>
          <Button type="submit" variant="contained">
            Sign in and go on
          </Button>
        </DialogActions>
      </Form>
    </Dialog>
  );
}
