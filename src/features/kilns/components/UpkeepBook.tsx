'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import { UPKEEP_KINDS, type UpkeepKind } from '@/core/firing';
import type { Upkeep } from '@/data/kiln-care';
import { useSend } from '@/platform/useSend';
import { Caution } from '@/ui/Caution';
import { ProblemNote } from '@/ui/Problem';
import { calendarDay } from '@/ui/time';
import { useSay } from '@/ui/Undo';

const WORDS: Record<UpkeepKind, string> = {
  elements: 'New elements',
  thermocouple: 'New thermocouple',
  chrome: 'Chrome in the bricks',
  idle: 'Stood idle',
  repair: 'Repair',
  other: 'Other',
};

/** What was done to the kiln. New elements or a new thermocouple begin a new series. */
export function UpkeepBook({
  kilnId,
  upkeep,
  today,
  edit,
}: {
  kilnId: string;
  upkeep: readonly Upkeep[];
  today: string;
  edit: boolean;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [kind, setKind] = useState<UpkeepKind>('elements');
  const [doneOn, setDoneOn] = useState(today);
  const [note, setNote] = useState('');
  const drop = async (id: string, dropped: boolean): Promise<void> => {
    if (!(await act('kilns.drop-upkeep', { id, dropped })).ok) return;
    router.refresh();
    if (dropped) say('Line taken out', () => void drop(id, false));
  };
  return (
    <Box>
      {edit && (
        <Stack
          component="form"
          direction={{ xs: 'column', sm: 'row' }}
          spacing={1}
          sx={{ mb: 1 }}
          onSubmit={(event) => {
            event.preventDefault();
            void act('kilns.upkeep', { kilnId, id: v7(), kind, doneOn, note }).then((answer) => {
              if (!answer.ok) return;
              setNote('');
              router.refresh();
            });
          }}
        >
          <TextField
            select
            label="What"
            value={kind}
            onChange={(event) => setKind(event.target.value as UpkeepKind)}
            sx={{ maxWidth: { sm: 210 } }}
          >
            {UPKEEP_KINDS.map((one) => (
              <MenuItem key={one} value={one}>
                {WORDS[one]}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            type="date"
            label="On"
            value={doneOn}
            onChange={(event) => setDoneOn(event.target.value)}
            sx={{ maxWidth: { sm: 170 } }}
            slotProps={{ inputLabel: { shrink: true } }}
          />
          <TextField label="Note" value={note} onChange={(event) => setNote(event.target.value)} />
          <Button type="submit" variant="outlined" disabled={busy} sx={{ flex: 'none' }}>
            Write down
          </Button>
        </Stack>
      )}
      {edit && (kind === 'elements' || kind === 'thermocouple' || kind === 'repair') && (
        <Caution>
          Isolate the kiln and lock it off before anybody reaches in; electrical work is for
          licensed people. What was learned of this thermocouple begins anew.
        </Caution>
      )}
      <ProblemNote>{problem}</ProblemNote>
      {upkeep.length === 0 && <Typography>Nothing on record.</Typography>}
      {upkeep.map((one) => (
        <Box
          key={one.id}
          sx={{
            display: 'grid',
            gridTemplateColumns: '110px 1fr auto',
            gap: 1,
            borderTop: '1px solid',
            borderColor: 'divider',
            py: 0.5,
            alignItems: 'baseline',
          }}
        >
          <Typography color="text.secondary">{calendarDay(one.doneOn)}</Typography>
          <Typography>
            <b>{WORDS[one.kind]}</b>
            {one.note ? `: ${one.note}` : ''} <small>{one.by}</small>
          </Typography>
          {edit && (
            <Button size="small" disabled={busy} onClick={() => void drop(one.id, true)}>
              Take out
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}
