import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import { firingTitle } from '@/core/firing';
import type { Source } from '@/data/database';
import type { OpenFiring } from '@/data/firings';
import { Line } from '@/ui/Lines';
import Link from '@/ui/Link';
import { proposalsFor } from '../queries';

/** Openings under way whose unrelated stacks share a fault, as lines of the day sheet. */
export async function proposedLines(src: Source, opened: readonly OpenFiring[]): Promise<ReactElement[]> {
  const lines: ReactElement[] = [];
  // One after the other: the first reads for all of them.
  for (const { firing } of opened) {
    const [first] = await proposalsFor(src, firing.id);
    if (first === undefined) continue;
    lines.push(
      <Line
        key={`shared/${firing.id}`}
        figure={`${first.with} of ${first.of}`}
        act={
          <Button component={Link} href={`/kilns/firings/${firing.id}`} variant="outlined">
            Why the whole load?
          </Button>
        }
      >
        <Typography sx={{ fontWeight: 650 }}>
          {firingTitle(firing)}: {first.name.toLowerCase()} on unrelated stacks
        </Typography>
        <Typography variant="body2">Look at the firing, not at the glazes.</Typography>
      </Line>,
    );
  }
  return lines;
}
