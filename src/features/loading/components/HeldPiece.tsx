'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { SETTINGS, type Setting } from '@/core/firing';
import { formatLength } from '@/core/units';
import { useUnits } from '@/ui/units';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { MONO } from '@/ui/theme';
import * as contracts from '../contracts';
import type { Place, PlanItem } from './ShelfDrawing';

/** What can be done with the piece that is held on the plan. */
export function HeldPiece({
  firingId,
  item,
  turned,
  onPut,
}: {
  firingId: string;
  item: PlanItem;
  turned: boolean;
  onPut: (place: Partial<Place>) => void;
}) {
  const router = useRouter();
  const units = useUnits();
  const { act, problem } = useSend();
  return (
    <Stack
      direction="row"
      spacing={1}
      useFlexGap
      sx={{
        position: 'sticky',
        bottom: { xs: 64, md: 0 },
        flexWrap: 'wrap',
        alignItems: 'center',
        bgcolor: 'background.paper',
        border: '1px solid',
        borderColor: 'text.primary',
        p: 1,
        mt: 1,
      }}
    >
      <Typography sx={{ fontFamily: MONO, fontWeight: 700 }}>{item.code}</Typography>
      <Typography variant="body2">
        {item.form},{' '}
        {(['widthMm', 'depthMm', 'heightMm'] as const)
          .map((side) => formatLength(Math.round(item.footprint[side]), units))
          .join(' × ')}
        {item.owner ? `, ${item.owner}` : ''}
      </Typography>
      <Button size="small" variant="outlined" onClick={() => onPut({ turned: !turned })}>
        Turn
      </Button>
      <Button size="small" onClick={() => onPut({ shelf: null, xMm: null, yMm: null })}>
        Take off the plan
      </Button>
      <TextField
        select
        label="Stands on"
        value={item.setting}
        onChange={(event) =>
          void act(contracts.standOn, {
            firingId,
            placementIds: [item.placementId],
            setting: event.target.value as Setting,
          }).then(() => router.refresh())
        }
        sx={{ width: 130 }}
      >
        {SETTINGS.map((one) => (
          <MenuItem key={one} value={one}>
            {one === 'unknown' ? 'not said' : one}
          </MenuItem>
        ))}
      </TextField>
      <ProblemNote>{problem}</ProblemNote>
    </Stack>
  );
}
