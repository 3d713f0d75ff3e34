'use client';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { dipFits, type Vessel } from '@/core/slurry';
import { fieldNumber } from '@/core/units';
import { QuantityField } from '@/ui/QuantityField';

/** Does this pot go into this bucket, and how full must the bucket be? */
export function PotFit({ vessel, litres }: { vessel: Vessel; litres: number | null }) {
  const [pot, setPot] = useState({ widthMm: '', heightMm: '', volumeMl: '' });
  const read = (text: string): number | null => {
    const value = fieldNumber(text);
    return value !== null && value > 0 ? value : null;
  };
  const [width, height] = [read(pot.widthMm), read(pot.heightMm)];
  const found =
    width === null || height === null
      ? null
      : dipFits(vessel, {
          widthMm: width,
          heightMm: height,
          volumeMl: read(pot.volumeMl) ?? 0,
        });
  const field = (name: keyof typeof pot, label: string) => (
    <QuantityField
      label={label}
      value={pot[name]}
      onChange={(text) => setPot({ ...pot, [name]: text })}
      width={180}
    />
  );
  return (
    <>
      <Stack direction="row" spacing={1} sx={{ flexWrap: 'wrap', rowGap: 1 }}>
        {field('widthMm', 'Pot’s width, mm')}
        {field('heightMm', 'Its height, mm')}
        {field('volumeMl', 'Pushes aside, ml')}
      </Stack>
      {found && (
        <Typography sx={{ mt: 1 }} role="status">
          {found.fits
            ? `It goes in. The bucket must hold ${found.needLitres.toFixed(1)} l to cover it, and at most ${found.atMostLitres.toFixed(1)} l so that nothing runs over.`
            : found.why}
          {found.fits && litres !== null && litres < found.needLitres
            ? ` There are ${litres.toFixed(1)} l in it: too little.`
            : ''}
        </Typography>
      )}
    </>
  );
}
