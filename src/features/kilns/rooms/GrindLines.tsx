import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactElement } from 'react';
import type { Source } from '@/data/database';
import { shelvesToGrind, type ToGrind } from '@/data/kiln-care';
import { Caution } from '@/ui/Caution';
import { Line } from '@/ui/Lines';
import { Ground } from '../components/Ground';

/** The shelves of one kiln that glaze ran onto, each with its word when it is done. */
export function ToGrindList({ shelves, today }: { shelves: readonly ToGrind[]; today: string }) {
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 0.5 }}>
        {shelves.map(({ kilnId, shelf }) => (
          <Ground key={shelf} kilnId={kilnId} shelf={shelf} today={today} />
        ))}
      </Box>
      <Caution>
        Chip and grind shelves with eyes and lungs covered, wet or with extraction; lift them two to a shelf.
      </Caution>
    </>
  );
}

/** Shelves to grind, kiln by kiln, as lines of the day sheet. */
export async function grindLines(src: Source, today: string): Promise<ReactElement[]> {
  const all = await shelvesToGrind(src);
  return [...new Set(all.map(({ kilnId }) => kilnId))].map((kilnId) => {
    const own = all.filter((one) => one.kilnId === kilnId);
    return (
      <Line key={`grind ${kilnId}`} figure={own.length} act={null}>
        <Typography sx={{ fontWeight: 650 }}>To grind in {own[0]!.kilnName}</Typography>
        <ToGrindList shelves={own} today={today} />
      </Line>
    );
  });
}
