'use client';
import Box from '@mui/material/Box';
import type { Control } from 'react-hook-form';
import { ATMOSPHERES } from '@/core/signs';
import { ChoiceInput, SelectInput, TextInput } from '@/ui/fields';
import type { MakeInput } from '../schema';

export type WaitingForm = Pick<MakeInput, 'waitingFor' | 'wantedCone' | 'wantedAtmosphere'>;

/** What new pieces wait for: the next firing, its cone and atmosphere. */
export function WaitingFields({ control }: { control: Control<WaitingForm> }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: '1fr', sm: 'auto 1fr 1fr' },
        alignItems: 'end',
      }}
    >
      <ChoiceInput
        control={control}
        name="waitingFor"
        label="Next firing"
        choices={[
          { value: 'bisque', label: 'Bisque' },
          { value: 'glaze', label: 'Glaze' },
        ]}
      />
      <TextInput control={control} name="wantedCone" label="Cone wanted" orNull />
      <SelectInput
        control={control}
        name="wantedAtmosphere"
        label="Atmosphere wanted"
        none="not said"
        choices={ATMOSPHERES.filter((one) => one !== 'unknown').map((value) => ({
          value,
          label: value,
        }))}
      />
    </Box>
  );
}
