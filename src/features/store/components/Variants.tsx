'use client';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useDeferredValue, useMemo, useState } from 'react';
import { orderOfAdditions } from '@/core/slurry';
import { count } from '@/core/units';
import { formatMass, type Units } from '@/core/units';
import { NumberField } from '@/ui/NumberField';
import { ProblemNote } from '@/ui/Problem';
import { TickList } from '@/features/ticks';
import { useUnits } from '@/ui/units';
import { mixSteps, readVariants } from '../variants';

/** Several variants of one base, mixed by adding and pouring off: the order with few weighings. */
export function Variants({ id }: { id: string }) {
  const units = useUnits();
  const [text, setText] = useState('plain\nblue: Cobalt carbonate 1\ndeep blue: Cobalt carbonate 2');
  const [grams, setGrams] = useState<number | null>(500);
  // The order is looked for once typing rests, never between two keys.
  const [written, base] = [useDeferredValue(text), useDeferredValue(grams)];
  const { rows, said } = useMemo(() => orderOf(written, base ?? 0, units), [written, base, units]);
  return (
    <>
      <Typography sx={{ mb: 1 }}>
        One variant a line: its name, a colon, what is added in percent of the base, with commas between.
      </Typography>
      <TextField
        multiline
        label="Variants"
        value={text}
        onChange={(event) => setText(event.target.value)}
        sx={{ maxWidth: 560 }}
      />{' '}
      <NumberField label="Base of each" quantity="mass" value={grams} onChange={setGrams} width={150} />
      {rows.length === 0 ? (
        <ProblemNote>{said}</ProblemNote>
      ) : (
        <>
          <Typography sx={{ my: 1, fontWeight: 650 }}>{said}</Typography>
          <TickList
            id={`variants/${id}/${text}`}
            columns={['What', 'Weigh']}
            groups={[{ title: '', rows }]}
          />
        </>
      )}
    </>
  );
}

function orderOf(text: string, base: number, units: Units): { rows: string[][]; said: string } {
  const weight = (grams: number): string => formatMass(grams, units);
  try {
    const order = orderOfAdditions(readVariants(text, base));
    return {
      rows: mixSteps(order.root, weight),
      said: `Mix ${weight(order.root.baseGrams)} of base, then ${count(order.weighings, 'more weighing')}${order.fewest ? ', the fewest there can be' : ', a good order; there may be one with fewer'}.`,
    };
  } catch (error) {
    return {
      rows: [],
      said: error instanceof Error ? error.message : 'These variants cannot be read.',
    };
  }
}
