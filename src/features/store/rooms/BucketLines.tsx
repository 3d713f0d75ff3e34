import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { lastSgOfBuckets } from '@/data/buckets';
import type { Source } from '@/data/database';
import { keepRead } from '@/data/kept';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';

/** An SG this far from its mark is felt in the coat (common practice, no source). */
const FAR = 0.05;

const keptSg = keepRead({ most: 1, key: () => '', read: lastSgOfBuckets });

/** Buckets far from the SG they should have, as lines of the day sheet. */
export async function bucketLines(src: Source): Promise<ReactElement[]> {
  const off = (await keptSg(src)).filter(({ wanted, sg }) => Math.abs(sg - wanted) >= FAR);
  return off.map(({ id, name, sg, wanted }) => (
    <Line
      key={id}
      figure={sg.toFixed(2)}
      act={
        <Button component={Link} href={`/store/buckets/${id}`} variant="outlined">
          {sg > wanted ? 'Thin it' : 'Thicken it'}
        </Button>
      }
    >
      <Typography sx={{ fontWeight: 650 }}>{name}</Typography>
      <Typography variant="body2">SG; it should have {wanted.toFixed(2)}.</Typography>
    </Line>
  ));
}
