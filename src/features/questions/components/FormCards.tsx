'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v7 } from 'uuid';
import { firedSize } from '@/core/designs';
import { fieldNumber } from '@/core/units';
import { QuantityField } from '@/ui/QuantityField';
import type { FormCard } from '@/data/stock';
import { useSend } from '@/platform/useSend';
import { Nothing } from '@/ui/Page';
import { ProblemNote } from '@/ui/Problem';
import { useSay } from '@/ui/Undo';

const FIELDS = [
  ['name', 'Form'],
  ['clay', 'Clay, g'],
  ['height', 'Wet height, mm'],
  ['width', 'Wet width, mm'],
  ['shrinkage', 'Shrinkage, %'],
  ['fits', 'Must still fit'],
] as const;
type Name = (typeof FIELDS)[number][0];
const EMPTY: Record<Name, string> = {
  name: '',
  clay: '',
  height: '',
  width: '',
  shrinkage: '12',
  fits: '',
};

const size = (wet: number | null, shrinkage: number | null): string =>
  wet === null
    ? '–'
    : shrinkage === null
      ? `${wet} wet`
      : `${wet} wet, ${Math.round(firedSize(wet, shrinkage))} fired`;

/** What the studio knows by heart of its forms: clay, wet and fired size, what must fit. */
export function FormCards({ cards }: { cards: readonly FormCard[] }) {
  const router = useRouter();
  const say = useSay();
  const { act, busy, problem } = useSend();
  const [texts, setTexts] = useState(EMPTY);
  const unread = [texts.clay, texts.height, texts.width, texts.shrinkage].some((text) =>
    Number.isNaN(fieldNumber(text)),
  );
  const save = async (card: object, said: string, undo?: () => void): Promise<boolean> => {
    const answer = await act('questions.save-form-card', card);
    if (!answer.ok) return false;
    say(said, undo);
    router.refresh();
    return true;
  };
  const drop = async (card: FormCard): Promise<void> => {
    const answer = await act('questions.drop-form-card', { id: card.id });
    if (!answer.ok) return;
    say(`${card.name} is taken out`, () => void save(card, `${card.name} is back`));
    router.refresh();
  };
  const add = async (): Promise<void> => {
    const shrinkage = fieldNumber(texts.shrinkage);
    const kept = await save(
      {
        id: v7(),
        name: texts.name,
        bodyId: null,
        clayG: fieldNumber(texts.clay),
        wetHeightMm: fieldNumber(texts.height),
        wetWidthMm: fieldNumber(texts.width),
        shrinkage: shrinkage === null ? null : shrinkage / 100,
        fits: texts.fits,
      },
      'The form is kept',
    );
    if (kept) setTexts(EMPTY);
  };
  return (
    <>
      {cards.length === 0 ? (
        <Nothing>Clay and wet sizes of the forms you repeat; the fired size follows.</Nothing>
      ) : (
        <Table size="small" aria-label="Form cards">
          <TableHead>
            <TableRow>
              <TableCell>Form</TableCell>
              <TableCell align="right">Clay</TableCell>
              <TableCell>Height, mm</TableCell>
              <TableCell>Width, mm</TableCell>
              <TableCell>Must still fit</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {cards.map((card) => (
              <TableRow key={card.id}>
                <TableCell sx={{ fontWeight: 650 }}>{card.name}</TableCell>
                <TableCell align="right">{card.clayG} g</TableCell>
                <TableCell>{size(card.wetHeightMm, card.shrinkage)}</TableCell>
                <TableCell>{size(card.wetWidthMm, card.shrinkage)}</TableCell>
                <TableCell>{card.fits}</TableCell>
                <TableCell align="right">
                  <Button size="small" disabled={busy} onClick={() => void drop(card)}>
                    Take out
                  </Button>
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
        sx={{
          display: 'grid',
          gap: 1,
          mt: 2,
          gridTemplateColumns: { xs: '1fr 1fr', md: '1.4fr repeat(4, 1fr) 1.4fr auto' },
        }}
      >
        {FIELDS.map(([name, label]) => {
          const field = {
            label,
            value: texts[name],
            onChange: (text: string) => setTexts({ ...texts, [name]: text }),
          };
          return name === 'name' || name === 'fits' ? (
            <TextField
              key={name}
              {...field}
              onChange={(event) => field.onChange(event.target.value)}
            />
          ) : (
            <QuantityField key={name} {...field} />
          );
        })}
        <Button
          type="submit"
          variant="contained"
          disabled={busy || unread || texts.name.trim() === '' || texts.clay.trim() === ''}
        >
          Add
        </Button>
      </Box>
      <ProblemNote>{problem}</ProblemNote>
    </>
  );
}
