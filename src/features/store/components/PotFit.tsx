'use client';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { inUnits } from '@/core/units';
import { dipFits, type Vessel } from '@/core/slurry';
import { NumberField } from '@/ui/NumberField';
import { useUnits } from '@/ui/units';

/** Does this pot go into this bucket, and how full must the bucket be? */
export function PotFit({ vessel, litres }: { vessel: Vessel; litres: number | null }) {
  const [pot, setPot] = useState<Record<'widthMm' | 'heightMm' | 'volumeMl', number | null>>({
    widthMm: null,
    heightMm: null,
    volumeMl: null,
  });
  const units = useUnits();
  const read = (value: number | null): number | null => (value !== null && value > 0 ? value : null);
  const [width, height] = [read(pot.widthMm), read(pot.heightMm)];
  const found =
    width === null || height === null
      ? null
      : dipFits(vessel, {
          widthMm: width,
          heightMm: height,
          volumeMl: read(pot.volumeMl) ?? 0,
        });
  const field = (name: keyof typeof pot, label: string, quantity?: 'length') => (
    <NumberField
      label={label}
      {...(quantity === undefined ? {} : { quantity })}
      value={pot[name]}
      onChange={(value) => setPot({ ...pot, [name]: value })}
      width={180}
    />
  );
  return (
    <>
      <Stack direction="row" spacing={1} sx={{ flexWrap: 'wrap', rowGap: 1 }}>
        {field('widthMm', 'Pot’s width', 'length')}
        {field('heightMm', 'Its height', 'length')}
        {field('volumeMl', 'Pushes aside, ml')}
      </Stack>
      {found && (
        <Typography sx={{ mt: 1 }} role="status">
          {found.fits
            ? `It goes in. The bucket must hold ${found.needLitres.toFixed(1)} l to cover it, and at most ${found.atMostLitres.toFixed(1)} l so that nothing runs over.`
            : inUnits(found.why ?? '', units)}
          {found.fits && litres !== null && litres < found.needLitres
            ? ` There are ${litres.toFixed(1)} l in it: too little.`
            : ''}
        </Typography>
      )}
    </>
  );
}
