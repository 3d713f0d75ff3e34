'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { Item } from '@/platform/sender/store';

type Theirs = {
  seenByName: string;
  surface: string | null;
  verdict: string | null;
  note: string;
  signs: { sign: string }[];
};

/** Two people wrote of one piece: both versions are there, a person decides. */
export function ConflictDialog({
  refused,
  onAnswer,
}: {
  refused: Item;
  onAnswer: (answer: 'mine' | 'theirs') => void;
}) {
  const theirs = (refused.problem?.details as { observations?: Theirs[] } | undefined)?.observations?.[0];
  return (
    <Dialog open aria-labelledby="conflict">
      <DialogTitle id="conflict">{refused.label}: not taken</DialogTitle>
      <DialogContent>
        <Typography>{refused.problem?.message}</Typography>
        {theirs && (
          <Typography sx={{ mt: 1, borderLeft: '4px solid', pl: 1 }}>
            {theirs.seenByName} wrote:{' '}
            {[theirs.surface, theirs.verdict, ...theirs.signs.map((sign) => sign.sign), theirs.note]
              .filter(Boolean)
              .join(', ') || 'nothing particular'}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={() => onAnswer('theirs')}>{theirs ? 'Keep theirs' : 'Leave mine out'}</Button>
        {theirs && (
          <Button variant="contained" onClick={() => onAnswer('mine')}>
            Add mine as a look
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}
