'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import { LOG_KINDS, type LogKind } from '@/core/firing';
import { ATMOSPHERES, type Atmosphere } from '@/core/signs';
import type { LogEntry } from '@/data/firing-log';
import { studioNow } from '@/platform/device/clock';
import { useSend } from '@/platform/useSend';
import { Caution } from '@/ui/Caution';
import { ProblemNote } from '@/ui/Problem';
import { localNow, moment, momentsAt } from '@/ui/time';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';
import { Form } from '@/ui/Form';

/** Written down so much later than it was, a line says so, ms. */
const LATE = 3_600_000;

const HINT: Record<LogKind, string> = {
  atmosphere: 'how it was judged: flame at the spy hole, smoke, probe',
  lid: 'propped a hand’s width, closed',
  bungs: 'top bung in, bottom out',
  damper: 'in to 40 mm',
  gas: '8 kPa on both burners',
  switch: 'all to high',
  flame: 'a hand long at the spy hole',
  peep: 'plug in, colour orange',
  'shut-off': 'the mechanical shut-off tripped',
  weather: 'wind from the sea, 8 °C',
  note: 'anything worth knowing next time',
};

/** The firing's diary: the air, lid, bungs, damper, gas, and whatever else was done. */
export function LogBook({
  firingId,
  entries,
  fuelled,
  edit,
  timeZone,
}: {
  firingId: string;
  entries: readonly LogEntry[];
  fuelled: boolean;
  edit: boolean;
  timeZone: string;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [kind, setKind] = useState<LogKind>(fuelled ? 'atmosphere' : 'note');
  const [text, setText] = useState('');
  const [air, setAir] = useState<Atmosphere>('oxidation');
  const [ago, setAgo] = useState('0');
  const [when, setWhen] = useState('');
  const meant = ago === 'at' ? momentsAt(when, timeZone) : [];
  const [second, setSecond] = useState(false);
  const add = async (): Promise<void> => {
    const at = ago === 'at' ? meant.at(second ? -1 : 0) : studioNow() - Number(ago) * 60_000;
    if (at === undefined) return;
    const answer = await act(contracts.write, {
      firingId,
      id: v7(),
      at: new Date(at).toISOString(),
      kind,
      atmosphere: kind === 'atmosphere' ? air : null,
      text,
    });
    if (answer.ok) {
      setText('');
      setAgo('0');
      if (answer.kept) say('Written down on this device', answer.undo);
      else router.refresh();
    }
  };
  const drop = async (id: string): Promise<void> => {
    const answer = await act(contracts.dropEntry, { firingId, id, dropped: true });
    if (!answer.ok) return;
    router.refresh();
    say('Line taken out', answer.undo);
  };
  return (
    <>
      {edit && (
        <Box
          component={Form}
          onSubmit={(event) => {
            event.preventDefault();
            void add();
          }}
          sx={{ mb: 2 }}
        >
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label="What happened"
            value={kind}
            onChange={(_, value) => value !== null && setKind(value as LogKind)}
            sx={{ flexWrap: 'wrap', mb: 1 }}
          >
            {LOG_KINDS.filter((one) => fuelled || !['damper', 'gas'].includes(one) || one === kind).map(
              (one) => (
                <ToggleButton key={one} value={one}>
                  {one}
                </ToggleButton>
              ),
            )}
          </ToggleButtonGroup>
          <Stack direction={{ xs: 'column', sm: 'row' }} spacing={1}>
            {kind === 'atmosphere' && (
              <TextField
                select
                label="From now on"
                value={air}
                onChange={(event) => setAir(event.target.value as Atmosphere)}
                sx={{ maxWidth: { sm: 200 } }}
              >
                {ATMOSPHERES.map((one) => (
                  <MenuItem key={one} value={one}>
                    {one}
                  </MenuItem>
                ))}
              </TextField>
            )}
            <TextField
              label={kind === 'atmosphere' ? 'Judged by' : 'What was done'}
              placeholder={HINT[kind]}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
            <TextField
              select
              label="When"
              value={ago}
              onChange={(event) => {
                setAgo(event.target.value);
                if (event.target.value === 'at') setWhen(localNow(timeZone));
              }}
              sx={{ maxWidth: { sm: 150 } }}
            >
              {[
                ['0', 'now'],
                ['10', '10 min ago'],
                ['30', '30 min ago'],
                ['60', '1 h ago'],
                ['120', '2 h ago'],
                ['at', 'at …'],
              ].map(([value, label]) => (
                <MenuItem key={value} value={value}>
                  {label}
                </MenuItem>
              ))}
            </TextField>
            {ago === 'at' && (
              <TextField
                type="datetime-local"
                label="At"
                value={when}
                onChange={(event) => setWhen(event.target.value)}
                error={meant.length === 0}
                helperText={meant.length === 0 ? 'The clocks left this hour out.' : undefined}
                slotProps={{ inputLabel: { shrink: true } }}
                sx={{ maxWidth: { sm: 230 } }}
              />
            )}
            {meant.length > 1 && (
              <Button onClick={() => setSecond(!second)}>
                {second ? 'the second time' : 'the first time'} that hour came
              </Button>
            )}
            <Button type="submit" variant="outlined" disabled={busy} sx={{ flex: 'none' }}>
              Write down
            </Button>
          </Stack>
          {kind === 'atmosphere' && air.includes('reduction') && (
            <Caution>
              Reduction makes carbon monoxide: alarm on, doors and vents open, nobody asleep above.
            </Caution>
          )}
          <ProblemNote>{problem}</ProblemNote>
        </Box>
      )}
      {entries.length === 0 && <Typography>Nothing written down yet.</Typography>}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {entries.map((entry) => (
          <Box
            component="li"
            key={entry.id}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '92px 1fr auto', sm: '120px 110px 1fr auto' },
              gap: 1,
              alignItems: 'baseline',
              borderTop: '1px solid',
              borderColor: 'divider',
              py: 0.5,
            }}
          >
            <Typography color="text.secondary">{moment(entry.at, timeZone)}</Typography>
            <Typography sx={{ fontWeight: 650, gridColumn: { xs: '2', sm: 'auto' } }}>
              {entry.atmosphere ?? entry.kind}
            </Typography>
            <Typography sx={{ gridColumn: { xs: '1 / 3', sm: 'auto' } }}>
              {entry.text}{' '}
              {entry.addedAt !== null && entry.addedAt.getTime() - entry.at.getTime() > LATE && (
                <Typography component="span" variant="body2" color="text.secondary">
                  written down {moment(entry.addedAt, timeZone)},{' '}
                </Typography>
              )}
              <Typography component="span" variant="body2" color="text.secondary">
                {entry.by}
              </Typography>
            </Typography>
            {edit && (
              <Button size="small" disabled={busy} onClick={() => void drop(entry.id)}>
                Take out
              </Button>
            )}
          </Box>
        ))}
      </Box>
    </>
  );
}
