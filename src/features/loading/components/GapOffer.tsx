import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import type { Spot } from '@/core/load';

/** Which waiting pieces would stand in the gaps of the load, to be put in together or left. */
export function GapOffer({
  gaps,
  codeOf,
  busy,
  onPut,
  onLeave,
}: {
  gaps: readonly (readonly [id: string, spot: Spot])[];
  codeOf: (id: string) => string | undefined;
  busy: boolean;
  onPut: () => void;
  onLeave: () => void;
}) {
  return (
    <Stack direction="row" spacing={1} useFlexGap sx={{ mb: 1, flexWrap: 'wrap' }}>
      <Typography sx={{ alignSelf: 'center' }}>
        {gaps.length === 0
          ? 'None of the waiting pieces fits a gap.'
          : `Would fit: ${gaps.map(([id, { shelf }]) => `${codeOf(id)} (shelf ${shelf})`).join(', ')}.`}
      </Typography>
      {gaps.length > 0 && (
        <Button variant="outlined" disabled={busy} onClick={onPut}>
          Put them in
        </Button>
      )}
      <Button onClick={onLeave}>Leave it</Button>
    </Stack>
  );
}
