'use client';
import Stack from '@mui/material/Stack';
import { useFormContext } from 'react-hook-form';
import type { z } from 'zod';
import { ChoiceInput } from '@/ui/choice-fields';
import { NumberInput } from '@/ui/NumberField';
import { TextInput } from '@/ui/fields';
import type { studioSchema } from '../contracts';

const of = (...pairs: readonly (readonly [value: string, label: string])[]) =>
  pairs.map(([value, label]) => ({ value, label }));
const UNITS = [
  { name: 'studio.temperatureUnit', label: 'Temperature', choices: of(['C', '°C'], ['F', '°F']) },
  { name: 'studio.lengthUnit', label: 'Length', choices: of(['mm', 'mm'], ['in', 'inch']) },
  { name: 'studio.massUnit', label: 'Mass', choices: of(['g', 'g, kg'], ['oz', 'oz, lb']) },
] as const;

/** What a studio is called, where it is, its units and how hot it opens; at first and later. */
export function StudioFields({ zoneHelp }: { zoneHelp?: string }) {
  const { control } = useFormContext<{ studio: z.input<typeof studioSchema> }>();
  return (
    <>
      <TextInput control={control} name="studio.name" label="Studio’s name" />
      <TextInput
        control={control}
        name="studio.timeZone"
        label="Time zone"
        {...(zoneHelp === undefined ? {} : { helper: zoneHelp })}
      />
      <Stack direction="row" spacing={2} useFlexGap sx={{ flexWrap: 'wrap' }}>
        {UNITS.map(({ name, label, choices }) => (
          <ChoiceInput key={name} control={control} name={name} label={label} choices={choices} />
        ))}
      </Stack>
      <Stack direction="row" spacing={2}>
        <NumberInput
          control={control}
          name="studio.crackAtC"
          quantity="temperature"
          label="Crack the lid below"
          helper="Opened hotter, pots and shelves crack and people burn."
        />
        <NumberInput
          control={control}
          name="studio.unloadAtC"
          quantity="temperature"
          label="Unload by hand below"
        />
      </Stack>
    </>
  );
}
