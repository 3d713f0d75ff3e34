'use client';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { CRISTOBALITE_C, QUARTZ_C } from '@/core/heatwork';
import { formatTemperature } from '@/core/units';
import { Caution } from '@/ui/Caution';
import { useUnits } from '@/ui/units';

/** Before the lid is lifted: how hot is too hot, and the word that it is open, with a network or without. */
export function NotOpen({
  status,
  crackAtC,
  pieces,
  onOpen,
}: {
  status: string;
  crackAtC: number;
  pieces: number;
  onOpen: () => void;
}) {
  const units = useUnits();
  return (
    <>
      <Typography component="h1" sx={{ fontSize: '2.4rem', fontWeight: 800 }}>
        {status === 'cooling' ? 'It cools' : 'It burns'}
      </Typography>
      <Typography sx={{ mb: 1 }}>
        {pieces} pieces are in it, and all of them are on this page: the opening can be written up where there
        is no network.
      </Typography>
      <Caution>
        Below {formatTemperature(crackAtC, units)} the lid may be cracked, not before: thermal shock and
        burns. Quartz turns at {formatTemperature(QUARTZ_C, units)}, cristobalite near{' '}
        {formatTemperature(CRISTOBALITE_C, units)}: no draught through there. Isolate the kiln before reaching
        in; gloves and glasses, edges can be sharp.
      </Caution>
      <Button
        variant={status === 'cooling' ? 'contained' : 'outlined'}
        size="large"
        onClick={onOpen}
        sx={{ mt: 2, minHeight: 60, width: '100%', maxWidth: 480, fontSize: '1.1rem' }}
      >
        {status === 'cooling' ? 'The kiln is open' : 'The fire is out, and the kiln is open'}
      </Button>
    </>
  );
}
