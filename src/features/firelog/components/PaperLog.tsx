'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { looksFahrenheit } from '@/core/heatwork';
import { count, formatTemperature, type Units } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { moment } from '@/ui/time';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';
import { paperLog, type Twice } from '../paper-log';

/** The hours of a notebook, typed or pasted: temperatures and what was done, kept in one act. */
export function PaperLog({
  firingId,
  startedAt,
  units,
  timeZone,
  top,
}: {
  firingId: string;
  startedAt: Date;
  units: Units;
  timeZone: string;
  /** °C of the end point of its cone, if one was named. */
  top: number | null;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const ids = useRef<string[]>([]);
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [unit, setUnit] = useState<'C' | 'F'>(units.temperature);
  const [sure, setSure] = useState(false);
  const [twice, setTwice] = useState<Twice | null>(null);
  if (!open)
    return (
      <Button variant="outlined" onClick={() => setOpen(true)}>
        Write up a log from paper
      </Button>
    );
  const log = paperLog(text, { unit, startedAt, timeZone, twice });
  const start = startedAt.getTime();
  const fahrenheit =
    unit === 'C' &&
    !sure &&
    looksFahrenheit(
      log.readings.map(([at, c]) => ({ t: (at - start) / 1000, c })),
      top,
    );
  const lines = log.readings.length + log.remarks.length;
  const times = [...log.readings.map(([at]) => at), ...log.remarks.map(({ at }) => at)];
  const keep = async (): Promise<void> => {
    const answer = await act(contracts.paper, {
      firingId,
      readings: log.readings,
      // Tried again after a lost answer these are the same lines.
      remarks: log.remarks.map((one, i) => ({ ...one, id: (ids.current[i] ??= v7()) })),
    });
    if (!answer.ok) return;
    ids.current = [];
    const { kept, repeated, doubted } = answer.data;
    say(
      `${count(kept, 'reading')} and ${count(log.remarks.length, 'line')} of the diary kept${repeated > 0 ? `, ${repeated} were there already` : ''}${doubted > 0 ? `, ${doubted} not believed` : ''}`,
      answer.undo,
    );
    setText('');
    setOpen(false);
    router.refresh();
  };
  return (
    <Box sx={{ mt: 1 }}>
      <TextField
        multiline
        minRows={6}
        maxRows={20}
        label="A line a reading: time, temperature, what was done"
        placeholder={'8:30 20\n9:30 95 lid propped\n11:00 310 lid closed\n+4:30 560\n14:10 switches to high'}
        value={text}
        onChange={(event) => setText(event.target.value)}
        slotProps={{ htmlInput: { spellCheck: false } }}
      />
      <Stack direction="row" spacing={2} useFlexGap sx={{ my: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Unit of the paper"
          value={unit}
          onChange={(_, value) => value !== null && setUnit(value as 'C' | 'F')}
        >
          <ToggleButton value="C">°C</ToggleButton>
          <ToggleButton value="F">°F</ToggleButton>
        </ToggleButtonGroup>
        <Typography role="status">
          {count(log.readings.length, 'reading')}, {count(log.remarks.length, 'remark')}
          {times.length > 0
            ? `, ${moment(new Date(Math.min(...times)), timeZone)} to ${moment(new Date(Math.max(...times)), timeZone)}`
            : ''}
          {log.readings.length > 0
            ? `, hottest ${formatTemperature(Math.max(...log.readings.map(([, c]) => c)), units)}`
            : ''}
        </Typography>
      </Stack>
      {log.wrong.map((one) => (
        <Typography key={one.line} color="error.main">
          Line {one.line}, “{one.text}”, {one.why}.
        </Typography>
      ))}
      {(log.twice > 0 || twice !== null) && (
        <Stack direction="row" spacing={1} sx={{ alignItems: 'center', my: 1 }}>
          <Typography>That night an hour came twice. Which one is meant?</Typography>
          {(['first', 'second'] as const).map((one) => (
            <Button
              key={one}
              size="small"
              variant={twice === one ? 'contained' : 'outlined'}
              onClick={() => setTwice(one)}
            >
              the {one}
            </Button>
          ))}
        </Stack>
      )}
      {fahrenheit && (
        <Stack direction="row" spacing={1} sx={{ alignItems: 'center', my: 1 }}>
          <Typography sx={{ fontWeight: 650 }}>These look like °F. Are they?</Typography>
          <Button size="small" variant="outlined" onClick={() => setUnit('F')}>
            They are °F
          </Button>
          <Button size="small" variant="outlined" onClick={() => setSure(true)}>
            They are °C
          </Button>
        </Stack>
      )}
      <ProblemNote>{problem}</ProblemNote>
      <Stack direction="row" spacing={1}>
        <Button
          variant="contained"
          disabled={busy || lines === 0 || log.wrong.length > 0 || log.twice > 0 || fahrenheit}
          onClick={() => void keep()}
        >
          Keep {count(lines, 'line')}
        </Button>
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </Stack>
    </Box>
  );
}
