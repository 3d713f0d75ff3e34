'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { studioNow } from '@/platform/device/clock';
import { useContractForm } from '@/platform/useContractForm';
import { useSend } from '@/platform/useSend';
import { FormShell, GROWS } from '@/ui/FormShell';
import { SelectInput, choices } from '@/ui/choice-fields';
import { TextInput } from '@/ui/fields';
import { Caution } from '@/ui/Caution';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { CRISTOBALITE_C, QUARTZ_C } from '@/core/heatwork';
import { formatTemperature } from '@/core/units';
import { useUnits } from '@/ui/units';
import { NEXT_ACT, WAY, type Status } from '@/core/firing/progress';
import * as contracts from '../contracts';

const CAUTIONS: Partial<Record<Status, string>> = {
  loaded:
    'Look before lighting: no damp ware, nothing touching, cones in sight, thermocouple free. Glasses of shade 3–5 at the spy hole.',
  firing:
    'Hot surfaces long after the end. Stay within reach of a kiln with a manual shut-off; set a second timer.',
};

/** What is said when a firing has come to a stage. */
const NOW_IT: Record<Status, string> = {
  planned: 'It is planned again: the load can be changed',
  loaded: 'The lid is closed',
  firing: 'The kiln is lit',
  cooling: 'The fire is out, the kiln cools',
  opened: 'The kiln is open',
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
  const units = useUnits();
  const { act, busy, problem } = useSend();
  const [other, setOther] = useState(false);
  const go = async (to: Status): Promise<void> => {
    const answer = await act(contracts.move, {
      firingId,
      from: status,
      to,
      at: new Date(studioNow()).toISOString(),
    });
    if (answer.ok) {
      say(answer.kept ? `${NOW_IT[to]}: kept on this device` : NOW_IT[to], answer.undo);
      setOther(false);
    }
    if (!answer.ok || !answer.kept) router.refresh();
  };
  const next = NEXT_ACT[status];
  const caution =
    status === 'cooling'
      ? `Below ${crackAt} the lid may be cracked, not before: thermal shock and burns. Quartz turns at ${formatTemperature(QUARTZ_C, units)}, cristobalite near ${formatTemperature(CRISTOBALITE_C, units)}: no draught through there. Isolate the kiln before reaching in; gloves and glasses, edges can be sharp.`
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
            <Button variant="contained" size="large" disabled={busy} onClick={() => void go(next.to)}>
              {next.verb}
            </Button>
          )}
          <Button onClick={() => setOther(!other)} aria-expanded={other}>
            Another step …
          </Button>
        </Stack>
      )}
      {other && <OtherStep firingId={firingId} status={status} onDone={() => setOther(false)} />}
    </Box>
  );
}

/** A step out of turn: to where, and why. */
function OtherStep({ firingId, status, onDone }: { firingId: string; status: Status; onDone: () => void }) {
  const router = useRouter();
  const say = useSay();
  const form = useContractForm(contracts.move, {
    start: { firingId, from: status, to: status === 'planned' ? 'firing' : 'planned', reason: '' },
    draft: `${firingId}/${status}`,
    done: (_, { to }) => {
      say(NOW_IT[to]);
      onDone();
      router.refresh();
    },
  });
  return (
    <FormShell form={form} act="Change" row sx={{ mt: 1.5 }}>
      <SelectInput
        control={form.control}
        name="to"
        label="To"
        choices={choices(WAY.filter((step) => step !== status))}
        sx={{ width: { sm: 160 } }}
      />
      <TextInput
        control={form.control}
        name="reason"
        label="Why"
        placeholder="Lid was closed by mistake"
        sx={GROWS}
      />
    </FormShell>
  );
}
