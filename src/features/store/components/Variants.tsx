'use client';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { orderOfAdditions } from '@/core/slurry';
import { fieldNumber } from '@/core/units';
import { QuantityField } from '@/ui/QuantityField';
import { ProblemNote } from '@/ui/Problem';
import { TickList } from '@/ui/TickList';
import { mixSteps, readVariants } from '../variants';

/** Several variants of one base, mixed by adding and pouring off: the order with the fewest weighings. */
export function Variants({ id }: { id: string }) {
  const [text, setText] = useState(
    'plain\nblue: Cobalt carbonate 1\ndeep blue: Cobalt carbonate 2',
  );
  const [grams, setGrams] = useState('500');
  let rows: string[][] = [];
  let said: string;
  try {
    const order = orderOfAdditions(readVariants(text, fieldNumber(grams) ?? 0));
    rows = mixSteps(order.root);
    said = `Mix ${Math.round(order.root.baseGrams)} g of base, then ${order.weighings} more weighings.`;
  } catch (error) {
    said = error instanceof Error ? error.message : 'These variants cannot be read.';
  }
  return (
    <>
      <Typography sx={{ mb: 1 }}>
        One variant a line: its name, a colon, what is added in percent of the base, with commas
        between.
      </Typography>
      <TextField
        multiline
        label="Variants"
        value={text}
        onChange={(event) => setText(event.target.value)}
        sx={{ maxWidth: 560 }}
      />{' '}
      <QuantityField label="Base of each, g" value={grams} onChange={setGrams} width={150} />
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
