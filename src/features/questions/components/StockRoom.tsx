'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useRouter } from 'next/navigation';
import { daysLeft, FORMS } from '@/core/designs';
import type { TileStock } from '@/data/stock';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { NumberInput } from '@/ui/NumberField';
import { SelectInput, choices } from '@/ui/choice-fields';
import { Nothing, Section } from '@/ui/Page';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

const LATELY = 90;
const TILE_FORMS = FORMS.filter(({ kind }) => kind === 'tile');

const facesOf = (form: string): readonly string[] =>
  FORMS.find(({ name }) => name === form)?.faces ?? ['bare'];

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
  const form = useContractForm(contracts.moveTiles, {
    start: {
      bodyId: bodies[0]?.id ?? '',
      form: TILE_FORMS[0]!.name,
      faces: 'bare',
      why: 'made',
    },
    draft: 'stock',
    complete: (typed) => ({ ...typed, faces: facesOf(typed.form).join(', ') }),
    done: ({ undo }, { number: _, ...again }) => {
      form.reset(again);
      say('Written down', undo);
      router.refresh();
    },
  });
  const { control } = form;
  return (
    <Section title="On the board">
      {stock.length === 0 ? (
        <Nothing>Say how many blanks there are and how many are made; designs take what they use.</Nothing>
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
      <FormShell form={form} act="Write it down" row sx={{ mt: 2 }}>
        <SelectInput
          control={control}
          name="bodyId"
          label="Body"
          choices={bodies.map(({ id, name }) => ({ value: id, label: name }))}
          sx={{ width: 170 }}
        />
        <SelectInput
          control={control}
          name="form"
          label="Form"
          choices={choices(TILE_FORMS.map(({ name }) => name))}
          sx={{ width: 170 }}
        />
        <SelectInput
          control={control}
          name="why"
          label="Were"
          choices={choices(['made', 'used', 'broken', 'counted'])}
          sx={{ width: 130 }}
        />
        <NumberInput control={control} name="number" label="Tiles" width={110} />
      </FormShell>
    </Section>
  );
}
