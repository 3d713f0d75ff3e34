import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { spanWord } from '@/core/looks';
import { count } from '@/core/units';
import type { Source } from '@/data/database';
import { dueLooks } from '@/data/second-looks';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';

/** What is due to be looked at again, as one line of the day sheet. */
export async function dueLookLines(src: Source, today: string): Promise<ReactElement[]> {
  const due = await dueLooks(src, today);
  if (due.length === 0) return [];
  const spans = [...new Set(due.map(({ days }) => days))].sort((a, b) => a - b);
  return [
    <Line
      key="second looks"
      figure={due.length}
      act={
        <Button component={Link} href="/look-again" variant="outlined">
          Look again
        </Button>
      }
    >
      <Typography sx={{ fontWeight: 650 }}>
        {count(due.length, 'piece')} to look at again, after {spans.map(spanWord).join(', ')}
      </Typography>
      <Typography variant="body2">
        {due
          .slice(0, 8)
          .map(({ code }) => code)
          .join(', ')}
        {due.length > 8 ? ' …' : ''}
      </Typography>
    </Line>,
  ];
}
