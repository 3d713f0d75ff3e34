'use client';
import Box from '@mui/material/Box';
import { useFormContext } from 'react-hook-form';
import { FieldGrid } from '@/ui/FieldGrid';
import { TextInput } from '@/ui/fields';
import { ChoiceInput, choices } from '@/ui/choice-fields';
import { NumberInput } from '@/ui/NumberField';
import type { BucketInput } from '../contracts';

/** A bucket's vessel and how it is meant to be used. */
export function BucketFields() {
  const { control } = useFormContext<{ fields: BucketInput }>();
  return (
    <FieldGrid phone={2} wide={4} sx={{ maxWidth: 820, alignItems: 'end' }}>
      <Box sx={{ gridColumn: { xs: '1 / -1', sm: 'span 2' } }}>
        <TextInput control={control} name="fields.name" label="Name on the bucket" />
      </Box>
      <Box sx={{ gridColumn: { xs: '1 / -1', sm: 'span 2' } }}>
        <ChoiceInput
          control={control}
          name="fields.shape"
          label="Vessel"
          choices={choices(['round', 'square'])}
        />
      </Box>
      <NumberInput control={control} name="fields.widthMm" quantity="length" label="Inside width" />
      <NumberInput control={control} name="fields.depthMm" quantity="length" label="Depth" />
      <NumberInput control={control} name="fields.litres" label="Holds now, l" />
      <NumberInput control={control} name="fields.advice.sg" label="SG aimed at" />
      <NumberInput control={control} name="fields.advice.dips" label="Dips or coats" />
      <NumberInput control={control} name="fields.advice.seconds" label="Seconds each" />
      <NumberInput control={control} name="fields.advice.restirMinutes" label="Stir again after, min" />
      <TextInput control={control} name="fields.advice.dryingSign" label="Next coat when" />
    </FieldGrid>
  );
}
