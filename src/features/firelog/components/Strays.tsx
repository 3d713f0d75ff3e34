'use client';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { formatTemperature, type Units } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { moment } from '@/ui/time';
import * as contracts from '../contracts';

/** Readings that came while no firing was under way: whose are they? */
export function Strays({
  kilnId,
  firingId,
  stray,
  units,
  timeZone,
}: {
  kilnId: string;
  firingId: string | null;
  stray: { count: number; from: Date; to: Date; peak: number | null };
  units: Units;
  timeZone: string;
}) {
  const router = useRouter();
  const { act, busy, problem } = useSend();
  const settle = (to: string | null): void =>
    void act(contracts.settleStrays, { kilnId, firingId: to }).then(() => router.refresh());
  return (
    <Stack sx={{ border: '2px solid', borderColor: 'text.primary', p: 1.5, mb: 2 }} spacing={1}>
      <Typography>
        {stray.count} readings came from {moment(stray.from, timeZone)} to {moment(stray.to, timeZone)}
        {stray.peak === null ? '' : `, up to ${formatTemperature(stray.peak, units)}`}, while no firing was
        under way. Was the kiln lit without a word here?
      </Typography>
      <Stack direction="row" spacing={1}>
        {firingId !== null && (
          <Button variant="outlined" disabled={busy} onClick={() => settle(firingId)}>
            They belong to this firing
          </Button>
        )}
        <Button disabled={busy} onClick={() => settle(null)}>
          Forget them
        </Button>
      </Stack>
      <ProblemNote>{problem}</ProblemNote>
    </Stack>
  );
}
