'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Person } from '@/data/people';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** A name is taken out for good: what that means, where it still stands, and that it is meant. */
export function Leaving({
  person,
  backups,
  onClose,
}: {
  person: Pick<Person, 'id' | 'name'>;
  /** Backups that hold the name, as the studio’s clock tells when they were made. */
  backups: readonly string[];
  onClose: () => void;
}) {
  const { act, busy, problem } = useSend();
  const [typed, setTyped] = useState('');
  const router = useRouter();
  const say = useSay();
  const go = async (): Promise<void> => {
    const answer = await act(contracts.forgetName, { personId: person.id, name: typed });
    if (!answer.ok) return;
    say('The name is taken out');
    onClose();
    router.refresh();
  };
  return (
    <Dialog open onClose={onClose}>
      <DialogTitle>Take out the name of {person.name}</DialogTitle>
      <DialogContent>
        <Typography>
          What they recorded stays, as somebody’s who left. Nobody signs in as them any more, and this cannot
          be undone. A name that somebody wrote into a note stays there: look for it with Find.
        </Typography>
        <Typography sx={{ mt: 1 }}>
          {backups.length === 0
            ? 'There is no backup that it stands in.'
            : `It still stands in ${backups.length === 1 ? 'the backup' : `${backups.length} backups`} of ${backups.join('; ')}, until newer ones take their place, and in every copy that was carried away.`}
        </Typography>
        <ProblemNote>{problem}</ProblemNote>
        <TextField
          label={`Type “${person.name}”`}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          fullWidth
          sx={{ mt: 2 }}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          color="error"
          variant="contained"
          disabled={busy || typed.trim() !== person.name}
          onClick={() => void go()}
        >
          Take it out
        </Button>
      </DialogActions>
    </Dialog>
  );
}
