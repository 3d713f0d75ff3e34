'use client';
import Box from '@mui/material/Box';
import type { Control } from 'react-hook-form';
import { ChoiceInput, NumberInput, TextInput } from '@/ui/fields';
import type { BucketInput } from '../recipe-schema';

/** A bucket's vessel and how it is meant to be used. */
export function BucketFields({ control }: { control: Control<BucketInput> }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        maxWidth: 820,
        alignItems: 'end',
        gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
      }}
    >
      <Box sx={{ gridColumn: { xs: '1 / -1', sm: 'span 2' } }}>
        <TextInput control={control} name="name" label="Name on the bucket" />
      </Box>
      <Box sx={{ gridColumn: { xs: '1 / -1', sm: 'span 2' } }}>
        <ChoiceInput
          control={control}
          name="shape"
          label="Vessel"
          choices={[
            { value: 'round', label: 'round' },
            { value: 'square', label: 'square' },
          ]}
        />
      </Box>
      <NumberInput control={control} name="widthMm" label="Inside width, mm" />
      <NumberInput control={control} name="depthMm" label="Depth, mm" />
      <NumberInput control={control} name="litres" label="Holds now, l" />
      <NumberInput control={control} name="advice.sg" label="SG aimed at" />
      <NumberInput control={control} name="advice.dips" label="Dips or coats" />
      <NumberInput control={control} name="advice.seconds" label="Seconds each" />
      <NumberInput control={control} name="advice.restirMinutes" label="Stir again after, min" />
      <TextInput control={control} name="advice.dryingSign" label="Next coat when" />
    </Box>
  );
}
