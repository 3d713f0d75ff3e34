'use client';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useRouter } from 'next/navigation';
import { v7 } from 'uuid';
import { firedSize } from '@/core/designs';
import { formatLength, formatMass, type Units } from '@/core/units';
import type { FormCard } from '@/data/stock';
import { useContractForm } from '@/platform/useContractForm';
import { FormShell } from '@/ui/FormShell';
import { NumberInput } from '@/ui/NumberField';
import { TextInput } from '@/ui/fields';
import { useUnits } from '@/ui/units';
import { Nothing } from '@/ui/Page';
import { useSay } from '@/ui/Undo';
import * as contracts from '../contracts';

const size = (wet: number | null, shrinkage: number | null, units: Units): string =>
  wet === null
    ? '–'
    : shrinkage === null
      ? `${formatLength(wet, units)} wet`
      : `${formatLength(wet, units)} wet, ${formatLength(Math.round(firedSize(wet, shrinkage)), units)} fired`;

const BLANK = {
  name: '',
  bodyId: null,
  wetHeightMm: null,
  wetWidthMm: null,
  shrinkage: 0.12,
  fits: '',
};

/** What the studio knows by heart of its forms: clay, wet and fired size, what must fit. */
export function FormCards({ cards }: { cards: readonly FormCard[] }) {
  const router = useRouter();
  const say = useSay();
  const units = useUnits();
  const form = useContractForm(contracts.saveFormCard, {
    start: { ...BLANK, id: v7() },
    draft: 'new',
    done: () => {
      form.reset({ ...BLANK, id: v7() });
      say('The form is kept');
      router.refresh();
    },
  });
  const { control, act, busy } = form;
  const drop = async ({ id, name }: FormCard): Promise<void> => {
    const answer = await act(contracts.dropFormCard, { id });
    if (!answer.ok) return;
    say(`${name} is taken out`, answer.undo);
    router.refresh();
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
              <TableCell>Height</TableCell>
              <TableCell>Width</TableCell>
              <TableCell>Must still fit</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {cards.map((card) => (
              <TableRow key={card.id}>
                <TableCell sx={{ fontWeight: 650 }}>{card.name}</TableCell>
                <TableCell align="right">{formatMass(card.clayG, units)}</TableCell>
                <TableCell>{size(card.wetHeightMm, card.shrinkage, units)}</TableCell>
                <TableCell>{size(card.wetWidthMm, card.shrinkage, units)}</TableCell>
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
      <FormShell form={form} act="Add" row sx={{ mt: 2 }}>
        <TextInput control={control} name="name" label="Form" sx={{ width: 170 }} />
        <NumberInput control={control} name="clayG" quantity="mass" label="Clay" width={110} />
        <NumberInput control={control} name="wetHeightMm" quantity="length" label="Wet height" width={160} />
        <NumberInput control={control} name="wetWidthMm" quantity="length" label="Wet width" width={150} />
        <NumberInput control={control} name="shrinkage" quantity="share" label="Shrinkage" width={130} />
        <TextInput control={control} name="fits" label="Must still fit" sx={{ width: 190 }} />
      </FormShell>
    </>
  );
}
