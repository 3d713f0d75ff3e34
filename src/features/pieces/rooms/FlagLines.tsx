import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import type { Source } from '@/data/database';
import { flaggedWaiting } from '@/data/flags';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';
import { MONO } from '@/ui/theme';

/** Flags on pieces that wait or are in a kiln, as lines of the day sheet. */
export async function flagLines(src: Source): Promise<ReactElement[]> {
  return (await flaggedWaiting(src)).map((flag) => (
    <Line
      key={flag.code + flag.text}
      figure={<span style={{ fontFamily: MONO, fontSize: '1.2rem' }}>{flag.code}</span>}
      act={
        <Button component={Link} href={`/pieces/${flag.code}`}>
          See to it
        </Button>
      }
    >
      <Typography>{flag.text}</Typography>
    </Line>
  ));
}
