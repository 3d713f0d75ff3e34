import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import type { Person } from '@/data/people';
import Link from '@/ui/Link';
import { Line } from '@/ui/Lines';
import { may } from '../../people';
import { readHouse } from '../server';
import { worries } from '../words';

/** What the house itself needs, for those who look after it. */
export function houseLines(person: Person, now: Date): ReactElement[] {
  if (!may(person, 'run the studio')) return [];
  const state = readHouse();
  if (state === null) return [];
  return worries(state, now).map(({ key, what, todo }) => (
    <Line
      key={`house ${key}`}
      figure="!"
      act={
        <Button component={Link} href="/studio/backups" variant="outlined">
          Backups
        </Button>
      }
    >
      <Typography sx={{ fontWeight: 650 }}>{what}</Typography>
      <Typography variant="body2">{todo}</Typography>
    </Line>
  ));
}
