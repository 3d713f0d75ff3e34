'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Stack from '@mui/material/Stack';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { daysLeft, FORMS } from '@/core/designs';
import { fieldNumber } from '@/core/units';
import { QuantityField } from '@/ui/QuantityField';
import type { TileStock } from '@/data/stock';
import { useSend } from '@/platform/useSend';
import { Nothing, Section } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';
import { Pick } from './DesignFields';

const LATELY = 90;
const TILE_FORMS = FORMS.filter(({ kind }) => kind === 'tile');

const runsOut = (stock: TileStock): string => {
  const days = daysLeft(stock.number, stock.usedLately, LATELY);
  if (stock.number <= 0) return 'none left';
  if (days === null) return 'none used lately';
  return days < 14
    ? `${Math.max(1, Math.round(days))} days at this rate`
    : `${Math.round(days / 7)} weeks at this rate`;
};

/** Blanks on the board: how many, when they run out, and what was made, used or broken. */
export function StockRoom({
  stock,
  bodies,
}: {
  stock: readonly TileStock[];
  bodies: readonly { id: string; name: string }[];
}) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [bodyId, setBodyId] = useState(bodies[0]?.id ?? '');
  const [form, setForm] = useState(TILE_FORMS[0]!.name);
  const [why, setWhy] = useState('made');
  const [number, setNumber] = useState('');
  const faces = (TILE_FORMS.find(({ name }) => name === form)?.faces ?? ['bare']).join(', ');
  const count = fieldNumber(number);
  const move = async (): Promise<void> => {
    const answer = await act('questions.move-tiles', {
      bodyId,
      form,
      faces,
      number: count,
      why,
    });
    if (!answer.ok) return;
    setNumber('');
    say('Written down');
    router.refresh();
  };
  return (
    <Section title="On the board">
      {stock.length === 0 ? (
        <Nothing>
          Say how many blanks there are and how many are made; designs take what they use.
        </Nothing>
      ) : (
        <Table size="small" aria-label="Tile stock">
          <TableHead>
            <TableRow>
              <TableCell>Body</TableCell>
              <TableCell>Form</TableCell>
              <TableCell>Faces</TableCell>
              <TableCell align="right">Blanks</TableCell>
              <TableCell>Run out</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {stock.map((one) => (
              <TableRow key={`${one.bodyId}/${one.form}/${one.faces}`}>
                <TableCell>{one.bodyName}</TableCell>
                <TableCell>{one.form}</TableCell>
                <TableCell>{one.faces.replaceAll('-', ' ')}</TableCell>
                <TableCell align="right" sx={{ fontSize: '1.1rem', fontWeight: 650 }}>
                  {one.number}
                </TableCell>
                <TableCell>{runsOut(one)}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      <Stack
        direction="row"
        spacing={1}
        sx={{ mt: 2, flexWrap: 'wrap', rowGap: 1 }}
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void move();
        }}
      >
        <Box sx={{ width: 170 }}>
          <Pick label="Body" value={bodyId} choices={bodies} onChange={setBodyId} />
        </Box>
        <Box sx={{ width: 170 }}>
          <Pick
            label="Form"
            value={form}
            choices={TILE_FORMS.map(({ name }) => ({ id: name, name }))}
            onChange={setForm}
          />
        </Box>
        <Box sx={{ width: 130 }}>
          <Pick
            label="Were"
            value={why}
            choices={['made', 'used', 'broken', 'counted'].map((id) => ({ id, name: id }))}
            onChange={setWhy}
          />
        </Box>
        <QuantityField label="Tiles" value={number} onChange={setNumber} width={90} />
        <Button
          type="submit"
          variant="contained"
          disabled={busy || count === null || Number.isNaN(count) || bodyId === ''}
        >
          Write it down
        </Button>
      </Stack>
      <ProblemNote>{problem}</ProblemNote>
    </Section>
  );
}
