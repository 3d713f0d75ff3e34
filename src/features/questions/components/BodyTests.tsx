'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { formatCone } from '@/core/cones';
import { fieldNumber } from '@/core/units';
import { QuantityField } from '@/ui/QuantityField';
import type { BodyTest } from '@/data/stock';
import { useSend } from '@/platform/useSend';
import { Nothing } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { day } from '@/ui/time';
import { Pick } from './DesignFields';

const KINDS = [
  { id: 'shrinkage', name: 'Shrinkage, %' },
  { id: 'absorption', name: 'Absorption, %' },
  { id: 'sag', name: 'Sag over a span, mm' },
  { id: 'plasticity', name: 'Plasticity, 1 to 5' },
  { id: 'melt', name: 'Melt, 0 to 5' },
  { id: 'strength of colour', name: 'Strength of colour, 0 to 5' },
  { id: 'expansion', name: 'Expansion, 10⁻⁶/K' },
];

/** What was measured of the clay itself. */
export function BodyTests({
  bodyId,
  tests,
  timeZone,
}: {
  bodyId: string;
  tests: readonly BodyTest[];
  timeZone: string;
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [kind, setKind] = useState('shrinkage');
  const [value, setValue] = useState('');
  const [cone, setCone] = useState('');
  const [note, setNote] = useState('');
  const figure = fieldNumber(value);
  const add = async (): Promise<void> => {
    const answer = await act('questions.test-body', {
      bodyId,
      kind,
      value: figure,
      cone: cone.trim() === '' ? null : cone,
      note,
    });
    if (!answer.ok) return;
    setValue('');
    setNote('');
    say('Measured');
    router.refresh();
  };
  return (
    <>
      {tests.length === 0 && (
        <Nothing>
          Shrinkage, absorption, sag and melt of this clay stand here, and the expansion that its
          glazes are compared with.
        </Nothing>
      )}
      {tests.map((test) => (
        <Typography key={test.id} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}>
          <b>
            {test.kind} {test.value}
          </b>
          {test.cone === null ? '' : `, cone ${formatCone(test.cone)}`}
          {test.note === '' ? '' : `: ${test.note}`}
          <Typography component="span" variant="body2" color="text.secondary">
            {' '}
            {day(test.at, timeZone)}, {test.by}
          </Typography>
        </Typography>
      ))}
      <Stack
        direction="row"
        spacing={1}
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
        sx={{ mt: 2, flexWrap: 'wrap', rowGap: 1 }}
      >
        <Box sx={{ width: 230 }}>
          <Pick label="What was measured" value={kind} choices={KINDS} onChange={setKind} />
        </Box>
        <QuantityField label="Figure" value={value} onChange={setValue} width={100} />
        <TextField
          label="Fired to cone"
          value={cone}
          onChange={(event) => setCone(event.target.value)}
          sx={{ width: 130 }}
        />
        <TextField
          label="How, and what was seen"
          value={note}
          onChange={(event) => setNote(event.target.value)}
          sx={{ width: 280 }}
        />
        <Button
          type="submit"
          variant="contained"
          disabled={busy || Number.isNaN(figure) || (figure === null && note.trim() === '')}
        >
          Write it down
        </Button>
      </Stack>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
