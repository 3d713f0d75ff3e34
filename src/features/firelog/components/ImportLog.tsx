'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import Papa from 'papaparse';
import { useState } from 'react';
import { count, formatTemperature, type Units } from '@/core/units';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { moment } from '@/ui/time';
import { useSay } from '@/ui/Undo';
import { guessColumns, readLog, type LogColumns } from '../log-file';
import * as contracts from '../contracts';

const CLOCKS: readonly [LogColumns['clock'], string][] = [
  ['date', 'date and time'],
  ['h:mm', 'h:mm since lit'],
  ['minutes', 'minutes since lit'],
  ['seconds', 'seconds since lit'],
  ['hours', 'hours since lit'],
];

/**
 * A controller's log from a file: columns are guessed, shown, and can be put right before anything is kept.
 */
export function ImportLog({
  firingId,
  startedAt,
  units,
  timeZone,
}: {
  firingId: string;
  startedAt: Date;
  units: Units;
  timeZone: string;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [rows, setRows] = useState<string[][] | null>(null);
  const [columns, setColumns] = useState<LogColumns | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const open = async (file: File | undefined): Promise<void> => {
    setWrong(null);
    setRows(null);
    if (!file) return;
    if (file.size > 30e6) return setWrong('This file is larger than 30 MB: too much for one firing.');
    const text = await file.text();
    const parsed = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
    if (text.includes('\u0000') || parsed.data.length < 2 || (parsed.data[0]?.length ?? 0) < 2)
      return setWrong('This is no table of readings: save the log as CSV, with a head row.');
    setRows(parsed.data);
    setColumns(guessColumns(parsed.data));
  };
  const read = rows && columns ? readLog(rows, columns, startedAt) : null;
  const hottest = read
    ? read.readings.reduce((top, [, c]) => Math.max(top, c ?? -Infinity), -Infinity)
    : null;
  const keep = async (): Promise<void> => {
    if (read === null) return;
    const answer = await act(contracts.importLog, { firingId, readings: read.readings });
    if (!answer.ok) return;
    setRows(null);
    const { kept, repeated, doubted, refused, firstRefused } = answer.data;
    if (refused > 0)
      setWrong(
        `${count(refused, 'line')} left out: ${firstRefused.map(({ row, why }) => `reading ${row} is ${why}`).join(' ')}`,
      );
    say(
      `${count(kept, 'reading')} kept${repeated > 0 ? `, ${repeated} were there already` : ''}${doubted > 0 ? `, ${doubted} not believed` : ''}`,
    );
    router.refresh();
  };
  const change = (part: Partial<LogColumns>): void =>
    setColumns((before) => (before ? { ...before, ...part } : before));
  return (
    <Box>
      <Button component="label" variant="outlined">
        Bring in a controller’s log (CSV)
        <input
          type="file"
          accept=".csv,.txt,text/csv,text/plain"
          hidden
          onChange={(event) => {
            void open(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </Button>
      <ProblemNote>{wrong ?? problem}</ProblemNote>
      {rows && columns && read && (
        <Box sx={{ mt: 1.5 }}>
          <Stack direction={{ xs: 'column', sm: 'row' }} spacing={1}>
            {(
              [
                ['time', 'Time'],
                ['temperature', 'Temperature'],
              ] as const
            ).map(([key, label]) => (
              <TextField
                key={key}
                select
                label={label}
                value={columns[key]}
                onChange={(event) => change({ [key]: Number(event.target.value) })}
              >
                {(rows[0] ?? []).map((name, i) => (
                  <MenuItem key={i} value={i}>
                    {name || `column ${i + 1}`}
                  </MenuItem>
                ))}
              </TextField>
            ))}
            <TextField
              select
              label="Time is"
              value={columns.clock}
              onChange={(event) => change({ clock: event.target.value as LogColumns['clock'] })}
            >
              {CLOCKS.map(([value, label]) => (
                <MenuItem key={value} value={value}>
                  {label}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label="Unit"
              value={columns.unit}
              onChange={(event) => change({ unit: event.target.value as 'C' | 'F' })}
              sx={{ maxWidth: { sm: 110 } }}
            >
              <MenuItem value="C">°C</MenuItem>
              <MenuItem value="F">°F</MenuItem>
            </TextField>
          </Stack>
          <Typography sx={{ my: 1 }}>
            {read.readings.length} readings
            {read.readings.length > 0
              ? `, ${moment(new Date(read.readings[0]![0]), timeZone)} to ${moment(new Date(read.readings.at(-1)![0]), timeZone)}, hottest ${hottest === null || !Number.isFinite(hottest) ? 'unknown' : formatTemperature(hottest, units)}`
              : ''}
            .
            {read.wrong.length > 0
              ? ` ${count(read.wrong.length, 'row')} cannot be read, the first in row ${read.wrong[0]!.row}: “${read.wrong[0]!.text}”.`
              : ''}
          </Typography>
          <Stack direction="row" spacing={1}>
            <Button
              variant="contained"
              disabled={busy || read.readings.length === 0}
              onClick={() => void keep()}
            >
              Keep these readings
            </Button>
            <Button onClick={() => setRows(null)}>Leave it</Button>
          </Stack>
        </Box>
      )}
    </Box>
  );
}
