import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import type { Painting } from '@/platform/painting';
import { Line } from '@/ui/Lines';

/** How far the demo's pictures have come while they are being painted; nothing when they are. */
export const paintingLines = (painting: Painting | null): ReactElement[] =>
  painting === null
    ? []
    : [
        <Line key="painting" figure={`${painting.done}`} act={null}>
          <Typography sx={{ fontWeight: 650 }}>
            of {painting.all > 0 ? painting.all : 'the'} pictures of the demo are painted.
          </Typography>
          <Typography variant="body2">
            Until then pieces are drawn. You can work meanwhile; more are there at each look.
          </Typography>
        </Line>,
      ];
