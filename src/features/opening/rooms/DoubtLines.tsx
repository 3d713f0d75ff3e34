import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { count } from '@/core/units';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';

/** Looks from before of which nobody has said what they were, as a line of the day sheet. */
export function doubtLines(doubted: number): ReactElement[] {
  if (doubted === 0) return [];
  return [
    <Line
      key="doubts"
      figure={doubted}
      act={
        <Button component={Link} href="/pieces/doubts" variant="outlined">
          Say which
        </Button>
      }
    >
      <Typography sx={{ fontWeight: 650 }}>
        {count(doubted, 'look')} of before: a second look, or a correction?
      </Typography>
    </Line>,
  ];
}
