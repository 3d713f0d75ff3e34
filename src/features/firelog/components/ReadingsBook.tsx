'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { DOUBT_WORDS } from '@/core/heatwork';
import { formatTemperature, type Units } from '@/core/units';
import type { KeptReading } from '@/data/readings';
import { useSend } from '@/platform/useSend';
import { NumberField } from '@/ui/NumberField';
import { ProblemNote } from '@/ui/Problem';
import { moment } from '@/ui/time';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

/** Written down so much later than it was read, a reading says so, ms. */
const LATE = 3_600_000;

const doubtWords = ({ doubt }: KeptReading): string =>
  doubt === null ? '' : doubt === 'struck' ? 'struck' : `not believed: ${DOUBT_WORDS[doubt]}`;

/** Readings that people wrote down, and those not believed: each can be put right or struck, with why. */
export function ReadingsBook({
  firingId,
  readings,
  units,
  timeZone,
}: {
  firingId: string;
  readings: readonly KeptReading[];
  units: Pick<Units, 'temperature'>;
  timeZone: string;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem, clear } = useSend();
  const [at, setAt] = useState<number | null>(null);
  const [celsius, setCelsius] = useState<number | null>(null);
  const [why, setWhy] = useState('');
  const open = (one: KeptReading): void => {
    clear();
    setAt(one.at.getTime());
    setCelsius(one.celsius);
    setWhy('');
  };
  const strike = async (one: KeptReading, struck: boolean): Promise<void> => {
    const answer = await act(contracts.strike, {
      firingId,
      at: one.at.toISOString(),
      struck,
      why: struck ? why : '',
    });
    if (!answer.ok) return;
    setAt(null);
    say(struck ? 'Reading struck' : 'Reading believed', answer.undo);
    router.refresh();
  };
  const correct = async (one: KeptReading): Promise<void> => {
    if (celsius === null) return;
    const answer = await act(contracts.correct, {
      firingId,
      at: one.at.toISOString(),
      celsius,
      why,
    });
    if (!answer.ok) return;
    setAt(null);
    say('Reading put right');
    router.refresh();
  };
  return (
    <Box component="details" sx={{ mt: 1 }}>
      <summary>Put readings right ({readings.length})</summary>
      {readings.map((one) => (
        <Box key={one.at.getTime()} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.5 }}>
          <Stack direction="row" spacing={1.5} useFlexGap sx={{ alignItems: 'baseline', flexWrap: 'wrap' }}>
            <Typography color="text.secondary">{moment(one.at, timeZone)}</Typography>
            <Typography
              sx={{
                fontWeight: 650,
                textDecoration: one.doubt === 'struck' ? 'line-through' : 'none',
              }}
            >
              {one.celsius === null ? 'nothing' : formatTemperature(one.celsius, units)}
            </Typography>
            <Typography variant="body2" sx={{ flex: 1 }}>
              {[
                doubtWords(one),
                one.wasCelsius === null ? '' : `was ${formatTemperature(one.wasCelsius, units)}`,
                one.why ?? '',
                one.addedAt !== null && one.addedAt.getTime() - one.at.getTime() > LATE
                  ? `written down ${moment(one.addedAt, timeZone)}`
                  : '',
              ]
                .filter((part) => part !== '')
                .join('; ')}
            </Typography>
            {one.doubt !== null && (
              <Button size="small" disabled={busy} onClick={() => void strike(one, false)}>
                Believe it
              </Button>
            )}
            <Button size="small" onClick={() => open(one)}>
              Put right …
            </Button>
          </Stack>
          {at === one.at.getTime() && (
            <Stack direction={{ xs: 'column', sm: 'row' }} spacing={1} sx={{ my: 1 }}>
              <NumberField
                label="It was"
                quantity="temperature"
                value={celsius}
                onChange={setCelsius}
                width={130}
              />
              <TextField
                label="Why"
                placeholder="read the wrong line"
                value={why}
                onChange={(event) => setWhy(event.target.value)}
              />
              <Button variant="outlined" disabled={busy} onClick={() => void correct(one)}>
                Put right
              </Button>
              <Button disabled={busy} onClick={() => void strike(one, true)}>
                Strike
              </Button>
            </Stack>
          )}
        </Box>
      ))}
      <ProblemNote>{problem}</ProblemNote>
    </Box>
  );
}
