'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { sendPicture } from '@/features/media';
import Link from '@/ui/Link';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';

export type Done = {
  code: string;
  pieceId: string;
  firingId: string;
  /** The chart's address of its cell; null where nobody knows what lies on it. */
  chart: string | null;
  /** Pictures that did not get through. */
  unsent: readonly File[];
};

/** What was put on record: its code to write on it, where it stands, and the next one. */
export function InHandDone({ done, onMore }: { done: Done; onMore: () => void }) {
  const [unsent, setUnsent] = useState(done.unsent);
  const again = async (): Promise<void> => {
    const left: File[] = [];
    for (const file of unsent)
      if (!(await sendPicture(file, done.pieceId, done.firingId)).ok) left.push(file);
    setUnsent(left);
  };
  return (
    <Box sx={{ maxWidth: 720 }}>
      <Typography>Write its code on it, where it does not rub off:</Typography>
      <Typography sx={{ fontFamily: MONO, fontWeight: 700, fontSize: '3.4rem', my: 1 }}>
        {done.code}
      </Typography>
      {done.chart === null && (
        <Typography>
          It stands on no cell of the chart while nobody knows what is on it; say so on its page once somebody
          does.
        </Typography>
      )}
      {unsent.length > 0 && (
        <ProblemNote act={<Button onClick={() => void again()}>Send again</Button>}>
          {`${unsent.map(({ name }) => name).join(', ')} did not get through.`}
        </ProblemNote>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 2 }}>
        {done.chart !== null && (
          <Button component={Link} href={done.chart} variant="contained">
            See it on the chart
          </Button>
        )}
        <Button variant={done.chart === null ? 'contained' : 'outlined'} onClick={onMore}>
          Another one like it
        </Button>
        <Button component={Link} href={`/pieces/${done.code}`}>
          Its page
        </Button>
      </Box>
    </Box>
  );
}
