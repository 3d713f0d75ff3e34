'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useSend } from '@/platform/useSend';
import { Caution } from '@/ui/Caution';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { NEXT_ACT, WAY, type Status } from '../progress';

const CAUTIONS: Partial<Record<Status, string>> = {
  loaded:
    'Look before lighting: no damp ware, nothing touching, cones in sight, thermocouple free. Glasses of shade 3–5 at the spy hole.',
  firing:
    'Hot surfaces long after the end. Stay within reach of a kiln with a manual shut-off; set a second timer.',
};

/** Where a firing is on its way, its next act, and other steps that need a reason. */
export function Progress({
  firingId,
  status,
  crackAt,
  mayMove,
}: {
  firingId: string;
  status: Status;
  crackAt: string;
  mayMove: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [other, setOther] = useState(false);
  const [to, setTo] = useState<Status>(status === 'planned' ? 'firing' : 'planned');
  const [reason, setReason] = useState('');
  const go = async (target: Status, why = ''): Promise<void> => {
    const answer = await act('kilns.move', { firingId, from: status, to: target, reason: why });
    if (answer.ok) {
      say(`The firing is ${target}`);
      setOther(false);
      setReason('');
    }
    router.refresh();
  };
  const next = NEXT_ACT[status];
  const caution =
    status === 'cooling'
      ? `Below ${crackAt} the lid may be cracked, not before: thermal shock and burns. Isolate the kiln before reaching in; gloves and glasses, edges can be sharp.`
      : CAUTIONS[status];
  return (
    <Box>
      <Box
        component="ol"
        aria-label="The way of this firing"
        sx={{
          listStyle: 'none',
          display: 'flex',
          flexWrap: 'wrap',
          p: 0,
          m: 0,
          mb: 1.5,
          border: '1px solid',
          borderColor: 'divider',
        }}
      >
        {WAY.map((step) => (
          <Box
            component="li"
            key={step}
            aria-current={step === status ? 'step' : undefined}
            sx={{
              flex: '1 1 80px',
              textAlign: 'center',
              py: 0.75,
              fontWeight: 650,
              bgcolor: step === status ? 'text.primary' : 'transparent',
              color:
                step === status
                  ? 'background.paper'
                  : WAY.indexOf(step) < WAY.indexOf(status)
                    ? 'text.primary'
                    : 'text.secondary',
            }}
          >
            {WAY.indexOf(step) < WAY.indexOf(status) ? `${step} ✓` : step}
          </Box>
        ))}
      </Box>
      {caution && mayMove && <Caution>{caution}</Caution>}
      <ProblemNote>{problem}</ProblemNote>
      {mayMove && (
        <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap' }}>
          {next && (
            <Button
              variant="contained"
              size="large"
              disabled={busy}
              onClick={() => void go(next.to)}
            >
              {next.verb}
            </Button>
          )}
          <Button onClick={() => setOther(!other)} aria-expanded={other}>
            Another step …
          </Button>
        </Stack>
      )}
      {other && (
        <Stack
          direction={{ xs: 'column', sm: 'row' }}
          spacing={1}
          sx={{ mt: 1.5 }}
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            void go(to, reason);
          }}
        >
          <TextField
            select
            label="To"
            value={to}
            onChange={(event) => setTo(event.target.value as Status)}
            sx={{ maxWidth: 160 }}
          >
            {WAY.filter((step) => step !== status).map((step) => (
              <MenuItem key={step} value={step}>
                {step}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            label="Why"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            placeholder="Lid was closed by mistake"
          />
          <Button type="submit" variant="outlined" disabled={busy}>
            Change
          </Button>
        </Stack>
      )}
    </Box>
  );
}
