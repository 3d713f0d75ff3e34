'use client';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { HOW_FULL, type HowFull } from '@/core/firing';
import { ATMOSPHERES, type Atmosphere } from '@/core/signs';
import { useSend } from '@/platform/useSend';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

type Air = Record<string, Atmosphere>;

/** How full it was, and where the air was another than in the rest: each is a circumstance of its pieces. */
export function HowItWas({
  firingId,
  fullness,
  shelfAir,
  atmosphere,
  shelves,
  stoodOn,
}: {
  firingId: string;
  fullness: HowFull | null;
  shelfAir: Air;
  atmosphere: Atmosphere;
  shelves: number;
  /** Share of the shelves that its plan has stood on; null without a plan. */
  stoodOn: number | null;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [shelf, setShelf] = useState(1);
  const keep = async (change: { fullness?: HowFull | null; shelfAir?: Air }): Promise<void> => {
    const before = { fullness, shelfAir };
    const answer = await act(contracts.sayHow, { firingId, ...before, ...change, before });
    if (!answer.ok) return;
    say('Kept; the chart follows', answer.undo);
    router.refresh();
  };
  const differing = Object.entries(shelfAir);
  return (
    <Stack spacing={1.5} sx={{ mb: 2, maxWidth: 720 }}>
      <TextField
        select
        label="How full it was"
        value={fullness ?? ''}
        disabled={busy}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        helperText={
          stoodOn === null ? undefined : `By its plan ${Math.round(100 * stoodOn)} % of the shelves.`
        }
        onChange={(event) =>
          void keep({ fullness: HOW_FULL.find((one) => one === event.target.value) ?? null })
        }
        sx={{ maxWidth: 260 }}
      >
        <MenuItem value="">nobody said</MenuItem>
        {HOW_FULL.map((one) => (
          <MenuItem key={one} value={one}>
            {one}
          </MenuItem>
        ))}
      </TextField>
      {differing.map(([no, air]) => (
        <Typography key={no}>
          Shelf {no}: {air}{' '}
          <Button
            size="small"
            disabled={busy}
            onClick={() =>
              void keep({
                shelfAir: Object.fromEntries(differing.filter(([other]) => other !== no)),
              })
            }
          >
            As the rest
          </Button>
        </Typography>
      ))}
      <Stack direction="row" spacing={1}>
        <TextField
          select
          label="On shelf"
          value={shelf}
          onChange={(event) => setShelf(Number(event.target.value))}
          sx={{ width: 110 }}
          helperText="1 is the lowest"
        >
          {Array.from({ length: shelves }, (_, i) => (
            <MenuItem key={i} value={i + 1}>
              {i + 1}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          label="the air was"
          value=""
          disabled={busy}
          helperText={`the rest: ${atmosphere}`}
          onChange={(event) => {
            const air = ATMOSPHERES.find((one) => one === event.target.value);
            if (air !== undefined) void keep({ shelfAir: { ...shelfAir, [shelf]: air } });
          }}
          sx={{ width: 240 }}
        >
          {ATMOSPHERES.filter((one) => one !== atmosphere).map((one) => (
            <MenuItem key={one} value={one}>
              {one}
            </MenuItem>
          ))}
        </TextField>
      </Stack>
      <ProblemNote>{problem}</ProblemNote>
    </Stack>
  );
}
